<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** The floor bands of a design as they stand, each worked out when it is first asked for. */
final class FloorBands
{
    private const SAGITTA = 0.5;

    /** @var array<string, list<FloorRow>|Refusal> */
    private array $found = [];

    private function __construct(private readonly Design $design)
    {
    }

    public static function in(Design $design): self
    {
        return $design->once(self::class, static fn (Design $d): self => new self($d));
    }

    /** @return list<FloorBand> in the order they were put in */
    public function all(): array
    {
        $bands = array_values(array_filter($this->design->layers, static fn (object $l): bool => $l instanceof FloorBand));
        usort($bands, static fn (FloorBand $a, FloorBand $b): int => $a->position <=> $b->position);

        return $bands;
    }

    public static function band(Design $design, string $id): FloorBand
    {
        $band = $design->layers[$id] ?? null;

        return $band instanceof FloorBand
            ? $band
            : throw Refusal::because('floor-band.unknown', 'That floor band is not in this project any more.', [$id]);
    }

    /**
     * @return list<FloorRow> upwards
     *
     * @throws Refusal when it cannot stand
     */
    public function of(FloorBand $band): array
    {
        $found = $this->look($band);

        return $found instanceof Refusal ? throw $found : $found;
    }

    /** @return list<FloorRow> none where it cannot stand */
    public function find(FloorBand $band): array
    {
        $found = $this->look($band);

        return $found instanceof Refusal ? [] : $found;
    }

    public function why(FloorBand $band): ?string
    {
        $found = $this->look($band);

        return $found instanceof Refusal ? $found->getMessage() : null;
    }

    /** @return list<string> the walls before which it stands */
    public function wallsOf(FloorBand $band): array
    {
        if ($band->outline !== null) {
            return array_map(static fn (object $w): string => $w->id, $this->design->wallsOf($band->outline));
        }

        return array_values(array_unique(array_filter(array_map(
            fn (Curve $c): ?string => $this->nearest($c),
            ($this->find($band)[0] ?? null)->edge ?? $band->line?->curves() ?? [],
        ), is_string(...))));
    }

    /** The wall that it is told and modelled with. */
    public function home(FloorBand $band): ?string
    {
        return $this->wallsOf($band)[0] ?? array_key_first($this->design->walls);
    }

    /** @return list<array{FloorRow, int}> rows with the stretches of theirs that run before a wall */
    public function before(string $wall): array
    {
        $outline = ($this->design->walls[$wall] ?? null)?->outline;
        $out = [];
        foreach ($this->all() as $band) {
            if ($band->outline !== null && $band->outline !== $outline) {
                continue;
            }
            foreach ($this->find($band) as $row) {
                foreach ($row->edge as $i => $curve) {
                    if (($row->line->walls[$i] ?? $this->nearest($curve)) === $wall) {
                        $out[] = [$row, $i];
                    }
                }
            }
        }

        return $out;
    }

    private function nearest(Curve $curve): ?string
    {
        $at = $curve->pointAt($curve->length() / 2);
        $nearest = null;
        $least = INF;
        foreach (array_filter(Bodies::of($this->design), fn (Body $b): bool => ! $this->design->isInner($b->host)) as $id => $body) {
            $u = max(0.0, min($body->surface->length, $body->surface->u($at)));
            $apart = $body->surface->inPlan($u)->distanceTo($at);
            if ($apart < $least - 1e-6) {
                [$nearest, $least] = [$id, $apart];
            }
        }

        return $nearest;
    }

    /** @return list<FloorRow>|Refusal */
    private function look(FloorBand $band): array|Refusal
    {
        if (! isset($this->found[$band->id])) {
            try {
                $this->found[$band->id] = $this->rows($band);
            } catch (Refusal $why) {
                $this->found[$band->id] = $why;
            }
        }

        return $this->found[$band->id];
    }

    /** @throws Refusal when an opening reaches past its edge, or into another */
    private function requireWithin(FloorBand $band, BandLine $line, float $out): void
    {
        if ($band->holes === []) {
            return;
        }
        $left = Region::polygon(self::ring($line->offset($out - $band->edgeDepth())));
        foreach ($band->holes as $i => $hole) {
            $asked = Region::polygon(self::ring($hole->curves()));
            $past = $asked->difference($left)->area();
            if ($past > 1.0) {
                throw Refusal::because('floor-band.hole_past', sprintf(
                    'Opening %d of %s reaches past its edge, or into another opening, by %.3F m².', $i + 1, $band->name, $past / 1e6,
                ), [$band->id], ['field' => 'holes']);
            }
            $left = $left->difference($asked);
        }
    }

    /**
     * @param  list<Curve>  $curves
     * @return list<float>
     */
    private static function ring(array $curves): array
    {
        return Contour::of($curves === [] ? throw new \LogicException('It has sides.') : $curves)->ring(self::SAGITTA);
    }

    /** @return list<FloorRow> */
    private function rows(FloorBand $band): array
    {
        $storeys = $this->design->storeys;
        [$first, $last] = [$storeys->indexOf($band->storey), $storeys->indexOf($band->top)];
        if ($last < $first) {
            throw Refusal::because('floor-band.upside_down', sprintf(
                '%s cannot run from %s up to %s: that lies under it.',
                $band->name, $storeys->get($band->storey)->name, $storeys->get($band->top)->name,
            ), [$band->id]);
        }
        $line = $band->inner ? BandLine::inside($this->design, $band) : BandLine::along($this->design, $band, [], $band->line, 0.0);
        if ($band->depth === null && ! $line->closed) {
            throw Refusal::because('floor-band.open', sprintf(
                '%s follows a line that does not close, so it cannot be a whole slab: say how deep it is.', $band->name,
            ), [$band->id], ['field' => 'depth']);
        }
        $rows = [];
        foreach (array_slice($storeys->all, $first, $last - $first + 1) as $n => $storey) {
            $out = $band->out->at($last === $first ? 0.0 : $n / ($last - $first), $n);
            $edge = $line->offset($out);
            // all of its depth must be there
            $line->offset($out - ($band->depth ?? $band->edgeDepth()));
            if (abs($out) > 50000.0) {
                throw Refusal::because('floor-band.out', sprintf('At %s it would lie %s off its line.', $storey->name, Length::mark($out)));
            }
            $this->requireWithin($band, $line, $out);
            $rows[] = new FloorRow($band, $line, $n, $storey->id, $storeys->floor($storey->id) + $band->level, $out, $edge);
        }

        return $rows;
    }
}
