<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Edge;
use Isleward\Core\Design\Host;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\PositionRule;
use Isleward\Core\Design\Reference;
use Isleward\Core\Design\SillDatum;
use Isleward\Core\Design\SillRule;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Refusal;

/** An opening as it would be elsewhere, keeping its rules as far as they mean something there; what had to change is noted. */
final readonly class Transplant
{
    public function __construct(private Design $design, private Attempt $attempt)
    {
    }

    /** On another wall: its position rule holds there ("centred" stays centred), unless it names something of its own frontage. */
    public function onWall(Opening $opening, Host $wall, string $id): Opening
    {
        $copy = $opening->withId($id)->withHost($wall->id());
        try {
            References::require($this->design, $copy);

            return $copy;
        } catch (Refusal) {
            $own = PositionRule::of(Along::of(Reference::Left, 0.0), $opening->position->to);
            $left = Places::in($this->design)->of($opening)->left - Places::in($this->design)->span($this->design->host($opening->host))[0];
            $this->attempt->note(
                sprintf(
                    '%s is placed from something of its own frontage; its copies are measured from the left end.',
                    ucfirst($this->design->label($opening)),
                ),
            );
            $at = $left + Places::in($this->design)->span($wall)[0];

            return $copy->withPosition(Places::in($this->design)->positionAt($own, $wall, $opening, $at));
        }
    }

    /** On another storey: as high over that storey's own floor as it is over its own. */
    public function onStorey(Opening $opening, string $storey, string $id): Opening
    {
        $copy = $opening->withId($id)->withStorey($storey);
        $rule = $opening->sill;
        $line = $rule->from === SillDatum::Line ? $this->design->line((string) $rule->ref) : null;
        if ($rule->from === SillDatum::Floor || ($line !== null && count(Places::in($this->design)->lineLevels($line)) > 1)) {
            $this->attempt->note(
                sprintf(
                    '%s of %s: %s above %s, and so on each.', $rule->edge === Edge::Head ? 'Head' : 'Sill', $this->design->label($opening),
                    Words::length($this->design, $rule->height),
                    $line === null ? 'its storey’s floor' : 'line '.$line->name));

            return $copy;
        }
        $above = Places::in($this->design)->of($opening)->sill - $this->design->storeys->floor($opening->storey);
        $from = match ($rule->from) {
            SillDatum::Foot => 'the wall’s foot',
            SillDatum::Datum => 'the site datum',
            default => 'something on its own storey',
        };
        $this->attempt->note(
            sprintf(
                'The sill of %s is measured from %s; on the other storeys it is %s above each one’s own floor.',
                $this->design->label($opening),
                $from,
                Words::length($this->design, $above),
            ),
        );

        return $copy->withSill(SillRule::of(
            SillDatum::Floor,
            $rule->edge === Edge::Head ? $above + $opening->height : $above,
            edge: $rule->edge,
        ));
    }
}
