<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

/**
 * What a fin or tube is, cut square to its length: as wide as its thickness and as deep as its reach; a round one as deep as it is
 * wide.
 */
enum SectionShape: string
{
    case Flat = 'flat';
    case Round = 'round';
    case Ellipse = 'ellipse';
    case Drawn = 'drawn';

    public function word(): string
    {
        return match ($this) {
            self::Flat => 'flat fin',
            self::Round => 'tube',
            self::Ellipse => 'elliptical fin',
            self::Drawn => 'drawn fin',
        };
    }
}
