<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Along;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Edge;
use Isleward\Core\Design\Face;
use Isleward\Core\Design\Host;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\PositionRule;
use Isleward\Core\Design\Reference;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\SillDatum;
use Isleward\Core\Design\SillRule;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Measure\Refusal;

/**
 * Where the rules of a design put its openings and setting-out lines. u is measured from a wall's left end (the start of
 * its drawn line) along its outer face, levels from the datum; mm. What a rule names is worked out first, once.
 */
final class Places
{
    /** @var array<string, PlacedOpening> */
    private array $openings = [];

    /** @var array<string, float> line → u on its own wall */
    private array $lines = [];

    /** @var array<string, Upright> */
    private array $surfaces = [];

    /** @var array<string, array{float, float}> */
    private array $spans = [];

    /** @var array<string, Body> */
    private array $sloped = [];

    private function __construct(private readonly Design $design)
    {
    }

    public static function in(Design $design): self
    {
        return $design->once(self::class, static fn (Design $d): self => new self($d));
    }

    /** An opening, whether or not the design holds it as it is given. */
    public function of(Opening $opening): PlacedOpening
    {
        $host = $this->design->host($opening->host);
        $cut = $host->isCurved() ? $this->cut($opening, $host) : null;
        $left = $this->along($opening->position->along, $host) - $opening->position->pointInWidth($cut->span ?? $opening->width);
        $level = $this->level($opening->sill, $host, $opening->storey);

        return new PlacedOpening(
            $opening,
            $left,
            $opening->sill->edge === Edge::Head ? $level - $opening->height : $level,
            $this->design->outlineOf($opening),
            $cut,
        );
    }

    /** How much of its wall an opening takes from jamb to jamb, along the outer face, mm. */
    public function spanOf(Opening $opening, ?Host $host = null): float
    {
        $host ??= $this->design->host($opening->host);

        return $host->isCurved() ? $this->cut($opening, $host)->span : $opening->width;
    }

    /** @throws Refusal when it is wider than the arc of its wall allows */
    private function cut(Opening $opening, Host $host): CurvedCut
    {
        $deep = $opening->type === null ? 0.0 : $this->design->type($opening->type)->tree()->frame->depth;
        try {
            return CurvedCut::of(
                $this->surface($host),
                $opening->jambs ?? $this->design->settings->jambs,
                $opening->width,
                $host->depth(),
                $opening->type === null ? 0.0 : $opening->setback,
                $deep,
            );
        } catch (Refusal $e) {
            throw $e->of($opening->id, $host->id());
        }
    }

    /** The opening of this id as the design holds it. */
    public function opening(string $id): PlacedOpening
    {
        return $this->openings[$id] ??= $this->of($this->design->opening($id));
    }

    /** u on a wall of a place along it. */
    public function along(Along $along, Host $host): float
    {
        if ($along->from === Reference::Left && $along->face === Face::Outer && ! $this->design->isInner($host)) {
            return $along->value;
        }
        [$start, $end] = $this->span($host, $along->face);

        return match ($along->from) {
            Reference::Left => $start + $along->value,
            Reference::Right => $end - $along->value,
            Reference::Middle => ($start + $end) / 2 + $along->value,
            Reference::Fraction => $start + ($end - $start) * $along->value,
            Reference::Point => $along->at + $along->value,
            Reference::Line => $this->lineOn($this->design->line((string) $along->ref), $host) + $along->value,
            Reference::Opening => $this->pointOn($along, $host) + $along->value,
            Reference::Across => $this->across($this->design->line((string) $along->ref), $host),
        };
    }

    /** The same way of measuring, with the figure that puts the place at $u. */
    public function alongAt(Along $along, Host $host, float $u): Along
    {
        if ($along->from === Reference::Across) {
            return Along::of(Reference::Left, $u - $this->span($host, $along->face)[0], face: $along->face);
        }
        [$start, $end] = $this->span($host, $along->face);

        return $along->withValue(match ($along->from) {
            Reference::Right => $end - $u,
            Reference::Fraction => ($u - $start) / ($end - $start),
            default => $u - $this->along($along->withValue(0.0), $host),
        });
    }

    /** The same way of measuring, with the figure that puts the left jamb of an opening at $left, as it would stand in that wall. */
    public function positionAt(PositionRule $rule, Host $host, Opening $opening, float $left): PositionRule
    {
        $point = $rule->pointInWidth($this->spanOf($opening, $host));

        return PositionRule::of($this->alongAt($rule->along, $host, $left + $point), $rule->to);
    }

    /** The level a rule names, for an opening of this storey of the wall: of its sill, or of its head when the rule sets that. */
    public function level(SillRule $rule, Host $host, string $storey): float
    {
        return $rule->height + $this->datum($rule, $host, $storey);
    }

    /** The same way of measuring, with the figure that puts an opening's sill at a level. */
    public function sillAt(SillRule $rule, Opening $opening, float $sill): SillRule
    {
        $level = $rule->edge === Edge::Head ? $sill + $opening->height : $sill;

        return $rule->withHeight($level - $this->datum($rule, $this->design->host($opening->host), $opening->storey));
    }

    /** u of an upright line on its own wall. */
    public function line(SettingOutLine $line): float
    {
        if (! $line->rule instanceof Along) {
            throw Refusal::because(
                'line.level',
                sprintf('%s is a level line: a place along the wall cannot be measured from it.', $line->name),
                [$line->id],
            );
        }

        return $this->lines[$line->id] ??= $this->along($line->rule, $this->design->host($line->host));
    }

    /** Level of a level line for a storey; one that is bound to no storey stands over every floor. */
    public function lineLevel(SettingOutLine $line, string $storey): float
    {
        if (! $line->rule instanceof SillRule) {
            throw Refusal::because(
                'line.upright',
                sprintf('%s is an upright line: a level cannot be measured from it.', $line->name),
                [$line->id],
            );
        }

        return $this->level($line->rule, $this->design->host($line->host), $line->storey ?? $storey);
    }

    /**
     * The levels a level line stands at on its frontage's wall.
     *
     * @return list<array{string|null, float}> storey, when there is one a storey, and level
     */
    public function lineLevels(SettingOutLine $line): array
    {
        $host = $this->design->host($line->host);
        $storeys = $this->design->storeys;
        if (! $this->isByStorey($line)) {
            return [[null, $this->lineLevel($line, $line->storey ?? $host->base())]];
        }
        $levels = [];
        for ($i = $storeys->indexOf($host->base()), $top = $storeys->indexOf($host->top()); $i <= $top; $i++) {
            $levels[] = [$storeys->all[$i]->id, $this->lineLevel($line, $storeys->all[$i]->id)];
        }

        return $levels;
    }

    /**
     * From where to where a wall's face runs, for what is measured from its ends: corner to corner; for an inner wall
     * what stands clear between the walls it meets.
     *
     * @return array{float, float}
     */
    public function span(Host $host, Face $face = Face::Outer): array
    {
        $inner = $this->design->isInner($host);
        if (! $inner && $face === Face::Outer) {
            return [0.0, $host->face()->length()];
        }

        return $this->spans[$host->id().$face->value] ??= $this->cutSpan($host, $face);
    }

    /** As it stands, where its head or its foot is not level; else null. */
    public function sloped(Host $host): ?Body
    {
        $body = $host->head() === null && $host->foot() === null ? null
            : $this->sloped[$host->id()] ??= Bodies::one($this->design, $host);

        return $body?->isLevel() === false ? $body : null;
    }

    public function surface(Host $host): Upright
    {
        return $this->surfaces[$host->id()] ??= $host->surface();
    }

    /** @return array{float, float} */
    private function cutSpan(Host $host, Face $face): array
    {
        $body = Bodies::one($this->design, $host);

        return $face === Face::Outer ? [$body->left->at, $body->right->at] : [$body->left->inner, $body->right->inner];
    }

    private function isByStorey(SettingOutLine $line): bool
    {
        $source = $line->rule instanceof SillRule && $line->rule->from === SillDatum::Line && $line->storey === null
            ? $this->design->line((string) $line->rule->ref) : null;

        return $line->isByStorey() || ($source !== null && $this->isByStorey($source));
    }

    private function datum(SillRule $rule, Host $host, string $storey): float
    {
        return match ($rule->from) {
            SillDatum::Floor => $this->design->storeys->floor($storey),
            SillDatum::Foot => $this->design->storeys->floor($host->base()),
            SillDatum::Datum => 0.0,
            SillDatum::Line => $this->lineLevel($this->design->line((string) $rule->ref), $storey),
            SillDatum::Opening => $rule->point === Edge::Sill
                            ? $this->opening((string) $rule->ref)->sill
                            : $this->opening((string) $rule->ref)->head,
        };
    }

    private function lineOn(SettingOutLine $line, Host $host): float
    {
        $u = $this->line($line);
        if ($line->host === $host->id()) {
            return $u;
        }

        return $this->surface($host)->u($this->surface($this->design->host($line->host))->inPlan($u));
    }

    private function pointOn(Along $along, Host $host): float
    {
        $other = $this->opening((string) $along->ref);
        $u = $other->left + $along->point->inWidth($other->right - $other->left);
        if ($other->opening->host === $host->id()) {
            return $u;
        }

        return $this->surface($host)->u($this->surface($this->design->host($other->opening->host))->inPlan($u));
    }

    /** A line of the next wall, as far from the corner between the two as it is there. */
    private function across(SettingOutLine $line, Host $host): float
    {
        $other = $this->design->host($line->host);
        $u = $this->line($line);
        if ($other->rightEnd()->isAt($host->leftEnd())) {
            return $other->face()->length() - $u;
        }
        if ($other->leftEnd()->isAt($host->rightEnd())) {
            return $host->face()->length() - $u;
        }
        throw Refusal::because(
            'line.no_corner',
            sprintf('%s cannot be brought across: the two walls share no corner.', $line->name),
            [$line->id, $host->id()],
        );
    }
}
