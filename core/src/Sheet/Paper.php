<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

/** Sizes of paper, lying: ISO 216 A sizes and ANSI/ASME Y14.1 sizes. */
enum Paper: string
{
    case A4 = 'A4';
    case A3 = 'A3';
    case A2 = 'A2';
    case A1 = 'A1';
    case A0 = 'A0';
    case AnsiA = 'ANSI-A';
    case AnsiB = 'ANSI-B';
    case AnsiC = 'ANSI-C';
    case AnsiD = 'ANSI-D';
    case AnsiE = 'ANSI-E';

    /** @return array{float, float} width and height, mm */
    public function size(): array
    {
        return match ($this) {
            self::A4 => [297.0, 210.0],
            self::A3 => [420.0, 297.0],
            self::A2 => [594.0, 420.0],
            self::A1 => [841.0, 594.0],
            self::A0 => [1189.0, 841.0],
            self::AnsiA => [279.4, 215.9],
            self::AnsiB => [431.8, 279.4],
            self::AnsiC => [558.8, 431.8],
            self::AnsiD => [863.6, 558.8],
            self::AnsiE => [1117.6, 863.6],
        };
    }
}
