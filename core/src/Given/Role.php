<?php

declare(strict_types=1);

namespace Isleward\Core\Given;

/** What a column of a given schedule states. */
enum Role: string
{
    case Mark = 'mark';
    case Kind = 'kind';
    case Width = 'width';
    case Height = 'height';
    case Size = 'size';
    case Sill = 'sill';
    case Head = 'head';
    case Count = 'count';
    case Storey = 'storey';
    case OnStorey = 'on-storey';
    case None = 'none';

    public function isLength(): bool
    {
        return in_array($this, [self::Width, self::Height, self::Size, self::Sill, self::Head], true);
    }

    public function label(): string
    {
        return match ($this) {
            self::Mark => 'mark', self::Kind => 'kind', self::Width => 'width', self::Height => 'height', self::Size => 'width × height',
            self::Sill => 'sill', self::Head => 'head',
            self::Count => 'count', self::Storey => 'storey', self::OnStorey => 'count on a storey', self::None => 'not read',
        };
    }
}
