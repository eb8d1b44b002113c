<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * A part of something. A cell or a member of a curtain wall, by the lines it stands between: "cell 2 1" is right of upright line 2 and
 * over level line 1, "upright 2 1" stands on upright line 2 from level line 1 on, "level 1 2" on level line 1 from upright line 2 on.
 * "corner end" is what stands at a stretch's right end, "corner 2" at the kink of its facets on line 2; "free 0,0 900,1200" runs between
 * two places of its face. Of a roof "light 2" is its rooflight number 2.
 */
final readonly class HostPart
{
    /** @param  string  $element  the stretch, the opening or the roof that it is of */
    private function __construct(public string $element, public string $part)
    {
    }

    public static function from(Fields $f): self
    {
        $part = $f->string('part');
        if (preg_match('/^((cell|upright|level|free) \S{1,40} \S{1,40}|corner \S{1,40}|light \d{1,4})$/u', $part) !== 1) {
            throw Refusal::because(
                'part.unknown',
                "“{$part}” names no part: “cell 2 1”, “upright 2 1”, “level 1 2”, “corner end” and “light 3” would.",
                details: ['field' => 'parts'],
            );
        }

        return new self($f->string('element'), $part);
    }

    public static function cell(string $left, string $foot): string
    {
        return "cell $left $foot";
    }

    public static function member(bool $upright, string $line, string $from): string
    {
        return ($upright ? 'upright' : 'level')." $line $from";
    }

    public static function corner(string $line): string
    {
        return "corner $line";
    }

    public static function light(int $n): string
    {
        return "light $n";
    }

    /** @param  array{float, float, float, float}  $between  u and v of its ends, mm */
    public static function free(array $between): string
    {
        return vsprintf('free %.0f,%.0f %.0f,%.0f', $between);
    }

    /** @return array{element: string, part: string} */
    public function toArray(): array
    {
        return ['element' => $this->element, 'part' => $this->part];
    }
}
