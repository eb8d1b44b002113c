<?php

declare(strict_types=1);

namespace App\Models;

/** What someone may do in a project. */
enum Role: string
{
    case Owner = 'owner';
    case Editor = 'editor';
    case Viewer = 'viewer';

    public function mayEdit(): bool
    {
        return $this !== self::Viewer;
    }
}
