<?php

declare(strict_types=1);

namespace App\Files\Reading;

/** What was made of a foreign file: content to be kept, and what is told of it. */
final readonly class Read
{
    /**
     * @param  'json'|'png'|'jpg'  $kind
     * @param  array<string, mixed>  $told
     */
    public function __construct(public string $content, public string $kind, public array $told)
    {
    }
}
