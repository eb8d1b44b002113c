<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Length;

/** What was changed by hand, as people read it in a list. */
final class HandWords
{
    /** @return list<array{of: string, place: int, says: string}> lengths are marked */
    public static function of(Design $design, ByHand $hand): array
    {
        $out = [];
        foreach ($hand->lines as $i => $line) {
            $out[] = ['of' => 'lines', 'place' => $i, 'says' => self::line($line)];
        }
        foreach ($hand->members as $i => $member) {
            $out[] = ['of' => 'members', 'place' => $i, 'says' => sprintf(
                '%s from %s: %s',
                self::called($member->axis, $member->line),
                $member->from === Lines::START ? 'the start' : 'line '.$member->from,
                $member->profile === null ? 'no member' : $member->profile->name(),
            )];
        }
        foreach ($hand->infills as $i => $change) {
            $out[] = ['of' => 'infills', 'place' => $i, 'says' => sprintf(
                'Cell right of line %s, over line %s: %s',
                $change->left,
                $change->foot,
                self::infill($design, $change->infill),
            )];
        }
        foreach ($hand->free as $i => $member) {
            $out[] = ['of' => 'free', 'place' => $i, 'says' => sprintf(
                'Free member %d: %s, %s long, at %.0f°',
                $i + 1,
                $member->profile->name(),
                Length::mark($member->from->distanceTo($member->to)),
                fmod(rad2deg($member->along()->angle()) + 360.0, 180.0),
            )];
        }

        return $out;
    }

    /** "vision glass 6-16-6", "D-06" … */
    public static function infill(Design $design, Infill $infill): string
    {
        if ($infill->type !== null) {
            return ($design->types[$infill->type] ?? null)->mark ?? 'a unit';
        }
        $layers = implode('-', array_map(static fn (float $l): string => Length::mark($l), $infill->layers));

        return trim(match ($infill->kind) {
            InfillKind::Vision => 'vision glass',
            InfillKind::Void => 'open',
            InfillKind::Solid => 'solid panel',
            default => $infill->kind->value,
        }.' '.$layers);
    }

    private static function line(LineChange $line): string
    {
        $upright = $line->axis === Axis::Upright;
        $beside = $line->beside === null ? null : 'line '.$line->beside;
        $from = match ($line->from) {
            LineFrom::Start => $upright ? 'from the left end' : 'over the foot',
            LineFrom::End => $upright ? 'from the right end' : 'under the head',
            LineFrom::Before => ($upright ? 'right of ' : 'over ').($beside ?? 'the line before it'),
            LineFrom::After => ($upright ? 'left of ' : 'under ').($beside ?? 'the line after it'),
        };
        $in = match ($line->within) {
            null => '',
            Lines::START => $upright ? ', in the lowest row only' : ', in the first bay only',
            default => sprintf($upright ? ', in the row over line %s only' : ', in the bay right of line %s only', $line->within),
        };

        return match ($line->done) {
            LineDone::Removed => self::called($line->axis, $line->line).' removed',
            LineDone::Moved => sprintf('%s moved to %s %s', self::called($line->axis, $line->line), Length::mark($line->at), $from),
            LineDone::Added => sprintf('%s line added %s %s', $upright ? 'Upright' : 'Level', Length::mark($line->at), $from),
        }.$in;
    }

    private static function called(Axis $axis, string $line): string
    {
        $upright = $axis === Axis::Upright;

        return match ($line) {
            Lines::START => $upright ? 'Left side' : 'Foot',
            Lines::END => $upright ? 'Right side' : 'Head',
            default => ($upright ? 'Upright line ' : 'Level line ').$line,
        };
    }
}
