<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Element;
use Isleward\Core\Design\Host;
use Isleward\Core\Design\LineAxis;
use Isleward\Core\Design\Namings;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\PositionRule;
use Isleward\Core\Design\Reference;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\SillDatum;
use Isleward\Core\Design\SillRule;
use Isleward\Core\Design\Tie;
use Isleward\Core\Design\Wall;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Layer\ScreenPart;
use Isleward\Core\Layer\ScreenPlaces;
use Isleward\Core\Measure\Refusal;

/**
 * What openings and lines are placed from: that it is there and can be measured from, that nothing hangs on itself, and what happens when
 * it goes.
 */
final class References
{
    /** @throws Refusal when what a part of a screen is measured from is not there, or lies before another wall */
    public static function requirePart(Design $design, ScreenPart $part): void
    {
        if ($part->position !== null) {
            $along = $part->position->along;
            self::requireAlong($design, $along, $design->host((string) $part->wall));
            self::requireOfWall($design, $along->from === Reference::Opening ? $along->ref : null, $part);
        }
        if ($part->sill !== null) {
            self::requireLevel($design, $part->sill);
            self::requireOfWall($design, $part->sill->from === SillDatum::Opening ? $part->sill->ref : null, $part);
        }
    }

    private static function requireOfWall(Design $design, ?string $opening, ScreenPart $part): void
    {
        if ($opening !== null && $design->opening($opening)->host !== $part->wall) {
            throw Refusal::because('screen.other_wall', 'It is measured from an opening of the wall it lies before.', [$opening]);
        }
    }

    /** @throws Refusal when what a rule names is not there, lies in another plane, or comes back to the element itself */
    public static function require(Design $design, Opening|SettingOutLine $element): void
    {
        if ($element instanceof Opening) {
            self::requireAlong($design, $element->position->along, $design->host($element->host));
            self::requireLevel($design, $element->sill);
            self::requireNoCycle($design, $element, true);
            self::requireNoCycle($design, $element, false);

            return;
        }
        $wall = $design->host($element->host);
        if ($element->rule instanceof Along) {
            self::requireAlong($design, $element->rule, $wall, true);
            self::requireNoCycle($design, $element, true);
        } else {
            self::requireLevel($design, $element->rule);
            self::requireNoCycle($design, $element, false);
        }
    }

    /**
     * What is placed from any of these, directly.
     *
     * @param  array<string, mixed>  $ids  by id
     * @return list<Opening|SettingOutLine>
     */
    public static function to(Design $design, array $ids): array
    {
        return array_values(array_filter(
            Namings::in($design)->of(array_map(strval(...), array_keys($ids)), Tie::MeasuredFrom),
            static fn (Element $e): bool => $e instanceof Opening || $e instanceof SettingOutLine,
        ));
    }

    /**
     * Screens with something that is placed from any of these, that stay.
     *
     * @param  array<string, mixed>  $gone  by id
     * @return list<Screen>
     */
    public static function screensTo(Design $design, array $gone): array
    {
        return array_values(array_filter(
            Namings::in($design)->of(array_map(strval(...), array_keys($gone)), Tie::MeasuredFrom),
            static fn (Element $e): bool => $e instanceof Screen && ! isset($gone[$e->id]),
        ));
    }

    /**
     * Keeps what is placed from these where it is when they go: its figures are measured from the wall's end and from the
     * storey's floor instead. A curtain wall that was in line with them is set out as its type says.
     *
     * @param  array<string, mixed>  $gone  by id
     * @return list<Operation>
     */
    public static function letGo(Design $design, array $gone): array
    {
        $operations = [];
        foreach (self::to($design, $gone) as $element) {
            if (! isset($gone[$element->id]) && ! isset($gone[$element->host])) {
                $operations[] = Operation::alter(
                    $element,
                    $element instanceof Opening ? self::onItsOwn($design, $element, $gone) : self::lineOnItsOwn($design, $element, $gone),
                );
            }
        }
        foreach (self::screensTo($design, $gone) as $screen) {
            $own = static fn (ScreenPart $p): ScreenPart => isset($design->walls[(string) $p->wall])
                ? ScreenPlaces::onItsOwn($design, $screen, $p, $gone) : $p;
            $operations[] = Operation::alter($screen, $screen->withParts(array_map($own, $screen->parts)));
        }
        foreach ($design->walls as $wall) {
            if ($wall->curtain?->isAligned() === true && ! isset($gone[$wall->id])) {
                $left = $wall->withCurtain($wall->curtain->without($gone), $wall->thickness);
                if ($left->toArray() !== $wall->toArray()) {
                    $operations[] = Operation::alter($wall, $left);
                }
            }
        }

        return $operations;
    }

    /**
     * The opening with figures of its own in place of what it was measured from.
     *
     * @param  array<string, mixed>|null  $gone  only what names one of these is replaced; null for whatever it names
     */
    public static function onItsOwn(Design $design, Opening $opening, ?array $gone = null): Opening
    {
        $places = Places::in($design);
        $after = $opening;
        if (self::lost($opening->position->along->ref, $gone)) {
            $own = PositionRule::of(Along::of(Reference::Left, 0.0), $opening->position->to);
            $left = $places->of($opening)->left;
            $after = $after->withPosition($places->positionAt($own, $design->host($opening->host), $opening, $left));
        }
        if (self::lost($opening->sill->ref, $gone)) {
            $own = SillRule::of(SillDatum::Floor, 0.0, edge: $opening->sill->edge);
            $after = $after->withSill($places->sillAt($own, $opening, $places->of($opening)->sill));
        }

        return $gone === null || $after->curtain === null ? $after : $after->withCurtain($after->curtain->without($gone));
    }

    /**
     * The line with a figure of its own in place of what it was measured from.
     *
     * @param  array<string, mixed>|null  $gone  only what names one of these is replaced; null for whatever it names
     */
    public static function lineOnItsOwn(Design $design, SettingOutLine $line, ?array $gone = null): SettingOutLine
    {
        if (! self::lost($line->ref(), $gone)) {
            return $line;
        }
        $places = Places::in($design);
        $wall = $design->host($line->host);
        if ($line->rule instanceof Along) {
            return $line->withRule(Along::of(Reference::Left, $places->line($line) - $places->span($wall)[0]));
        }
        if (count($places->lineLevels($line)) > 1 || $line->storey !== null) {
            $storey = $line->storey ?? $wall->base();

            return $line->withRule(SillRule::of(
                SillDatum::Floor,
                $places->lineLevel($line, $storey) - $design->storeys->floor($storey),
            ));
        }

        return $line->withRule(SillRule::of(SillDatum::Datum, $places->lineLevel($line, $wall->base())));
    }

    /** @param  array<string, mixed>|null  $gone */
    private static function lost(?string $ref, ?array $gone): bool
    {
        return $ref !== null && ($gone === null || isset($gone[$ref]));
    }

    /** What people call it. */
    public static function label(Design $design, Opening|SettingOutLine $element): string
    {
        return $element instanceof Opening ? $design->label($element) : 'line '.$element->name;
    }

    private static function requireAlong(Design $design, Along $along, Host $wall, bool $ofLine = false): void
    {
        if ($along->from === Reference::Across && ! $ofLine) {
            throw Refusal::because('position.across', 'Only a line is brought across a corner; place the opening from that line.');
        }
        if ($along->ref === null) {
            return;
        }
        if ($along->from === Reference::Opening) {
            $other = $design->wall($design->opening($along->ref)->host);
        } else {
            $line = $design->line($along->ref);
            $other = $design->host($line->host);
            if ($line->axis !== LineAxis::Upright) {
                throw Refusal::because(
                    'line.level',
                    sprintf('%s is a level line: a place along the wall cannot be measured from it.', $line->name),
                    [$line->id],
                );
            }
        }
        if ($along->from === Reference::Across) {
            Places::in($design)->along($along, $wall);
        } elseif (! self::inOnePlane($design, $wall, $other)) {
            throw Refusal::because(
                'position.other_plane',
                'What it is measured from lies in another frontage; bring a line across the corner and measure from that.',
                [$along->ref],
            );
        }
    }

    private static function requireLevel(Design $design, SillRule $rule): void
    {
        if ($rule->from === SillDatum::Line && $design->line((string) $rule->ref)->axis !== LineAxis::Level) {
            throw Refusal::because(
                'line.upright',
                sprintf('%s is an upright line: a level cannot be measured from it.', $design->line((string) $rule->ref)->name),
                [(string) $rule->ref],
            );
        }
        if ($rule->from === SillDatum::Opening) {
            $design->opening((string) $rule->ref);
        }
    }

    private static function inOnePlane(Design $design, Host $a, Host $b): bool
    {
        if ($a->id() === $b->id()) {
            return true;
        }

        return Places::in($design)->surface($a)->liesIn(Places::in($design)->surface($b));
    }

    /** @param  bool  $along  follow places along the wall, else levels */
    private static function requireNoCycle(Design $design, Opening|SettingOutLine $element, bool $along): void
    {
        $chain = [self::label($design, $element)];
        $seen = [];
        $at = $element;
        while (true) {
            $ref = self::next($at, $along);
            if ($ref === null || isset($seen[$ref])) {
                return;
            }
            $seen[$ref] = true;
            $at = $design->openings[$ref] ?? $design->lines[$ref] ?? null;
            if ($at === null) {
                return;
            }
            $chain[] = self::label($design, $at);
            if ($ref === $element->id) {
                throw Refusal::because(
                    'position.cycle',
                    sprintf('This would hang on itself: %s.', implode(' → ', $chain)),
                    array_keys($seen),
                );
            }
        }
    }

    private static function next(Opening|SettingOutLine $element, bool $along): ?string
    {
        if ($element instanceof Opening) {
            return $along ? $element->position->along->ref : $element->sill->ref;
        }

        return ($element->rule instanceof Along) === $along ? $element->rule->ref : null;
    }
}
