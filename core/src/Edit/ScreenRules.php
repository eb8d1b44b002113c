<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Operation;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Layer\ScreenPart;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** What must hold of a screen, whoever makes or changes it. */
final class ScreenRules
{
    /**
     * The change that makes one of the other, once it is known that it can stand.
     *
     * @param  list<int>  $touched  numbers of pieces and cut-outs that must come to something
     *
     * @throws Refusal
     */
    public static function change(Design $design, ?Screen $before, Screen $after, string $summary, array $touched = []): Change
    {
        foreach ($after->walls as $wall) {
            if ($design->wall($wall)->outline !== $after->outline) {
                throw Refusal::because('screen.other_outline', 'A screen stands before walls of one outline.', [$wall]);
            }
        }
        foreach ($after->parts as $part) {
            if ($part->wall !== null && in_array($part->n, $touched, true) && $design->wall($part->wall)->outline !== $after->outline) {
                throw Refusal::because('screen.other_outline', 'A screen stands before walls of one outline.', [$part->wall]);
            }
            if ($part->type !== null && in_array($part->n, $touched, true)) {
                $design->type($part->type);
            }
            if (in_array($part->n, $touched, true)) {
                References::requirePart($design, $part);
            }
            foreach (in_array($part->n, $touched, true) ? $part->shape->around : [] as $opening) {
                $design->opening($opening);
            }
        }
        BandRules::requireLayer($design, $after, $after->finish);
        $change = new Change($summary, [$before === null ? Operation::add($after) : Operation::alter($before, $after)], [$after->id]);
        $stands = Screens::in($design->after($change))->of($after);
        $idle = array_values(array_intersect($touched, $stands->idle));
        if ($idle !== []) {
            throw self::outside($after, $after->part($idle[0]), count($idle));
        }

        return $change;
    }

    private static function outside(Screen $screen, ScreenPart $part, int $count): Refusal
    {
        $stands = $screen->name;

        return Refusal::because('screen.outside', sprintf(
            $part->cut
                ? 'The cut-out%2$s would take nothing of %1$s: %3$s outside it, or where something is cut out already.'
                : 'The piece%2$s would lie before none of the walls %1$s stands before.',
            $stands, $count > 1 ? 's' : '', $count > 1 ? 'they lie' : 'it lies',
        ), [$screen->id], ['part' => $part->n]);
    }

    /**
     * Some of its parts, in the order they come in.
     *
     * @param  list<int>  $numbers
     * @return non-empty-list<ScreenPart>
     *
     * @throws Refusal when one is not there, or none is asked for
     */
    public static function chosen(Screen $screen, array $numbers): array
    {
        $parts = array_map($screen->part(...), array_values(array_unique($numbers)));

        return $parts === [] ? throw Refusal::because('screen.none_chosen', 'Choose a cut-out or a piece of the screen first.') : $parts;
    }

    /**
     * With some parts put elsewhere.
     *
     * @param  list<ScreenPart>  $changed
     */
    public static function replaced(Screen $screen, array $changed): Screen
    {
        $by = array_column(array_map(static fn (ScreenPart $p): array => [$p->n, $p], $changed), 1, 0);

        return $screen->withParts(array_map(static fn (ScreenPart $p): ScreenPart => $by[$p->n] ?? $p, $screen->parts));
    }

    /**
     * With more parts after all others, numbered on from them.
     *
     * @param  list<ScreenPart>  $more
     * @return array{Screen, list<int>}
     */
    public static function extended(Screen $screen, array $more): array
    {
        $n = $screen->nextNumber();
        $numbers = [];
        $parts = $screen->parts;
        foreach ($more as $part) {
            $numbers[] = $n;
            $parts[] = $part->copied($n++, $part->wall);
        }

        return [$screen->withParts($parts), $numbers];
    }

    /** One that follows openings, or the whole width, lies nowhere of its own. */
    public static function requireDrawn(ScreenPart $part): void
    {
        if ($part->wall === null) {
            throw Refusal::because('screen.follows', sprintf(
                'Number %d follows %s: it is moved by what it follows.', $part->n,
                $part->shape->around === [] ? 'the whole width' : 'openings',
            ), details: ['part' => $part->n]);
        }
    }

    /** How parts are called: "a cut-out", "3 cut-outs", "a piece". */
    public static function words(ScreenPart ...$parts): string
    {
        $cuts = count(array_filter($parts, static fn (ScreenPart $p): bool => $p->cut));
        $word = $cuts === count($parts) ? 'cut-out' : ($cuts === 0 ? 'piece' : 'part');

        return count($parts) === 1 ? "a $word" : count($parts)." {$word}s";
    }

    public static function mm(float $mm): string
    {
        return Length::mark($mm);
    }
}
