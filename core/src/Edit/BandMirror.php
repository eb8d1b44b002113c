<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\BandLine;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\Corners;
use Isleward\Core\Layer\Law\Law;
use Isleward\Core\Layer\Quantity;
use Isleward\Core\Layer\Remainder;
use Isleward\Core\Layer\SectionShape;
use Isleward\Core\Layer\Stand;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Mirrors bands of fins about the middle of their lines: every piece then stands as far from the end as it stood from the start, turned the
 * other way round, with what was pinned by hand.
 */
final readonly class BandMirror implements Edit
{
    use OnBands;

    public function apply(Design $design, Ids $ids): Change
    {
        $operations = [];
        foreach ($bands = ArrangedBands::chosen($design, $this->ids) as $band) {
            if (! $band instanceof Band) {
                throw Refusal::because('floor-band.mirror', sprintf('%s is the same all along: there is nothing to mirror.', $band->name),
                    [$band->id]);
            }
            $fins = Bands::in($design)->of($band);
            if ($fins->line->closed) {
                throw Refusal::because('band.mirror_round', sprintf(
                    '%s runs all round and has no ends to be mirrored about: carry its laws mirrored, or let it run before some walls.',
                    $band->name,
                ), [$band->id]);
            }
            if ($band->spaced->corners !== Corners::Through && ! self::isAlike($fins->line)) {
                throw Refusal::because('band.mirror_corners', sprintf(
                    'The pieces of %s keep to the corners of its line, which do not lie alike from both its ends: mirrored they could not.',
                    $band->name,
                ), [$band->id]);
            }
            $out = array_filter($band->pinned, static fn (?array $keeps): bool => $keeps === null);
            $operations[] = Operation::alter($band, self::mirrored(
                $band, $fins->count() + count(array_diff(array_keys($out), $fins->lost)),
            ));
        }

        return ArrangedBands::done($design, sprintf('Mirrored %s', ArrangedBands::called(...$bands)), $operations, $this->ids);
    }

    /** Whether its corners lie as far from its end as from its start. */
    private static function isAlike(BandLine $line): bool
    {
        $corners = $line->corners();
        foreach ($corners as $i => $corner) {
            if (abs($line->length - $corner - $corners[count($corners) - 1 - $i]) > Tolerance::LENGTH) {
                return false;
            }
        }

        return true;
    }

    /** @param  int  $count  of its pieces, those left out by hand among them */
    private static function mirrored(Band $band, int $count): Band
    {
        $before = $band->spaced->toArray();
        $remainder = match ($band->spaced->remainder) {
            Remainder::Start => Remainder::End,
            Remainder::End => Remainder::Start,
            Remainder::Both => Remainder::Both,
        };
        $spaced = ['start' => $before['end'], 'end' => $before['start'], 'remainder' => $remainder->value] + $before;
        // seen in a mirror an angle about an axis that runs along the line stays, about another it turns the other way
        $turned = $band->stand === Stand::Lying ? Quantity::Lean : Quantity::Turn;
        $laws = [];
        foreach (Quantity::cases() as $quantity) {
            $sign = $quantity === $turned ? -1.0 : 1.0;
            $same = $band->law($quantity)->same();
            $law = $same === null ? $band->law($quantity)->carried(0.0, true, $sign) : Law::constant($same === 0.0 ? 0.0 : $sign * $same);
            $laws[$quantity->value] = $law->toArray();
        }
        $pinned = [];
        foreach ($band->pinned as $n => $keeps) {
            if (isset($keeps[$turned->value])) {
                $keeps[$turned->value] *= -1;
            }
            $pinned[] = ['piece' => $n < $count ? $count - 1 - $n : $n] + ($keeps ?? ['out' => true]);
        }
        $profile = $band->shape === SectionShape::Drawn && $band->stand !== Stand::Lying
            ? array_map(static fn (array $p): array => [1 - $p[0], $p[1]], $band->profile)
            : $band->profile;

        return Band::from(new Fields(
            ['spaced' => $spaced, 'laws' => $laws, 'pinned' => $pinned, 'profile' => $profile] + $band->toArray(),
        ));
    }
}
