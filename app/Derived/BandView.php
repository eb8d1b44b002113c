<?php

declare(strict_types=1);

namespace App\Derived;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\BandsDrawn;
use Isleward\Core\Layer\Fins;
use Isleward\Core\Layer\Law\Handle;
use Isleward\Core\Layer\Law\LawKind;
use Isleward\Core\Layer\Quantity;
use OpenApi\Attributes as OA;

/** Bands as the desk shows them before each wall: their pieces, and the curves of their laws. */
#[OA\Schema(schema: 'LawCurve', description: 'The curve of a law before a wall', required: ['of', 'points', 'handles', 'least', 'most'],
    properties: [
        new OA\Property(property: 'of', type: 'string', enum: ['thickness', 'reach', 'length', 'turn', 'lean']),
        new OA\Property(property: 'points', type: 'array', items: new OA\Items(type: 'number'), description: 'u, value, u, value …'),
        new OA\Property(property: 'handles', type: 'array', items: new OA\Items(
            required: ['name', 'u', 'value', 'slides'], properties: [
                new OA\Property(property: 'name', type: 'string'),
                new OA\Property(property: 'u', type: 'number'),
                new OA\Property(property: 'value', type: 'number'),
                new OA\Property(property: 'slides', type: 'boolean', description: 'Along the run too'),
            ], type: 'object')),
        new OA\Property(property: 'least', type: 'number', description: 'What lies at the foot of its graph'),
        new OA\Property(property: 'most', type: 'number', description: 'What lies at the head of its graph'),
    ])]
#[OA\Schema(schema: 'PlacedBand', description: 'A band before a wall', required: [
    'element', 'host', 'what', 'boxes', 'rings', 'along', 'curves', 'graph', 'bounds',
], properties: [
    new OA\Property(property: 'element', type: 'string'),
    new OA\Property(property: 'host', type: 'string'),
    new OA\Property(property: 'what', type: 'string', enum: ['fins', 'floor', 'field', 'screen', 'roof']),
    new OA\Property(
        property: 'boxes', type: 'array', items: new OA\Items(type: 'number'),
        description: 'Of pieces seen as rectangles: number from 0, u, level, u, level, number …; u from the wall’s left end',
    ),
    new OA\Property(
        property: 'rings', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')),
        description: 'Of the others: number, u, level, u, level …',
    ),
    new OA\Property(
        property: 'along', type: 'array', items: new OA\Items(type: 'number'), description: 'Share of the run, u, share, u …, in order',
    ),
    new OA\Property(property: 'curves', type: 'array', items: new OA\Items(ref: '#/components/schemas/LawCurve')),
    new OA\Property(property: 'screen', ref: '#/components/schemas/PlacedScreen', description: 'Of a screen: how it is seen'),
    new OA\Property(property: 'lights', type: 'array', description: 'Of a roof: what stands in it, as it is seen', items: new OA\Items(
        required: ['n', 'ring', 'shapes'],
        properties: [
            new OA\Property(property: 'n', type: 'integer'),
            new OA\Property(property: 'ring', type: 'array', items: new OA\Items(type: 'number')),
            new OA\Property(property: 'shapes', type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
        ],
        type: 'object',
    )),
    new OA\Property(property: 'said', description: 'Of a field: what its battens come to', required: [
        'count', 'gap', 'total', 'least', 'most', 'clear', 'region',
    ], properties: [
        new OA\Property(property: 'count', type: 'integer'),
        new OA\Property(property: 'gap', type: 'number', description: 'Clear between two'),
        new OA\Property(property: 'total', type: 'number', description: 'Length of all'),
        new OA\Property(property: 'least', type: 'number'),
        new OA\Property(property: 'most', type: 'number'),
        new OA\Property(property: 'clear', type: 'number', description: 'Share of its region that is clear between them'),
        new OA\Property(property: 'region', type: 'number', description: 'Area of its region, mm²'),
    ], type: 'object'),
    new OA\Property(
        property: 'graph', type: 'array', items: new OA\Items(type: 'number'), description: 'Levels between which its curves are drawn',
    ),
    new OA\Property(property: 'bounds', type: 'array', items: new OA\Items(type: 'number'), description: 'u, level, u, level'),
])]
final readonly class BandView
{
    /** A curve is drawn through so many places before a wall. */
    private const PLACES = 96;

    /** Of no more pieces than this it is shown while it is dragged or typed what would become of them. */
    private const MOST_TRIED = 4000;

    /**
     * @param  array<string, Body>  $bodies
     * @return list<array<string, mixed>>
     */
    public static function of(Design $design, array $bodies, Frontage $frontage): array
    {
        $out = [];
        foreach (array_keys($frontage->walls) as $wall) {
            foreach (Bands::in($design)->before($wall) as [$fins, $pieces]) {
                $out[] = self::before($design, $bodies[$wall], $fins, $pieces, Quantity::cases());
            }
        }

        return $out;
    }

    /**
     * The bands that a change touches as they would stand; none where that is more than is looked at while it is dragged.
     *
     * @return list<array<string, mixed>>
     */
    public static function tried(Design $after, Change $change): array
    {
        $touched = [];
        $count = 0;
        foreach ($change->operations as $operation) {
            if ($operation->after instanceof Band) {
                $touched[$operation->id] = $operation->before instanceof Band
                    ? self::drivenOtherwise($operation->before, $operation->after)
                    : Quantity::cases();
                $count += Bands::in($after)->find($operation->after)?->count() ?? 0;
            }
        }
        if ($touched === [] || $count > self::MOST_TRIED) {
            return [];
        }
        $out = $bodies = [];
        foreach ($touched as $id => $quantities) {
            $band = Bands::band($after, (string) $id);
            $fins = Bands::in($after)->find($band);
            foreach ($fins === null ? [] : Bands::in($after)->placed($band) as $wall => $pieces) {
                $bodies[$wall] ??= Bodies::one($after, $after->host((string) $wall));
                $out[] = self::before($after, $bodies[$wall], $fins, $pieces, $quantities);
            }
        }

        return $out;
    }

    /**
     * @param  list<int>  $pieces
     * @param  list<Quantity>  $quantities  whose curves are wanted
     * @return array<string, mixed>
     */
    private static function before(Design $design, Body $body, Fins $fins, array $pieces, array $quantities): array
    {
        $boxes = $rings = [];
        [$x0, $y0, $x1, $y1] = [INF, INF, -INF, -INF];
        $runs = $body->surface->isFlat() ? $body->surface->angle() : null;
        foreach ($pieces as $i) {
            $box = BandsDrawn::boxBefore($body->surface, $fins, $i, $runs);
            if ($box !== null) {
                [$u0, $v0, $u1, $v1] = $box;
                array_push($boxes, $fins->n[$i], round($u0, 2), round($v0, 2), round($u1, 2), round($v1, 2));
            } else {
                $ring = BandsDrawn::seenBefore($body->surface, $fins, $i);
                if ($ring === []) {
                    continue;
                }
                $rings[] = [$fins->n[$i], ...array_map(static fn (float $c): float => round($c, 2), $ring)];
                [$us, $vs] = [[], []];
                foreach ($ring as $k => $c) {
                    $k % 2 === 0 ? $us[] = $c : $vs[] = $c;
                }
                [$u0, $v0, $u1, $v1] = [min($us), min($vs), max($us), max($vs)];
            }
            $x0 = $u0 < $x0 ? $u0 : $x0;
            $x1 = $u1 > $x1 ? $u1 : $x1;
            $y0 = $v0 < $y0 ? $v0 : $y0;
            $y1 = $v1 > $y1 ? $v1 : $y1;
        }
        $along = self::along($body, $fins, $pieces);

        return [
            'element' => $fins->band->id, 'host' => $body->host->id(), 'what' => 'fins', 'boxes' => $boxes, 'rings' => $rings,
            'along' => $along,
            'curves' => array_map(
                static fn (Quantity $q): array => self::curve($body, $fins, $pieces, $along, $q), $quantities,
            ),
            'graph' => self::graph($design, $fins->band), 'bounds' => [$x0, $y0, $x1, $y1],
        ];
    }

    /** @return list<Quantity> whose laws are others; all, when it is something else that has changed */
    private static function drivenOtherwise(Band $before, Band $after): array
    {
        $others = array_values(array_filter(
            Quantity::cases(),
            static fn (Quantity $q): bool => $before->law($q)->toArray() !== $after->law($q)->toArray(),
        ));

        return $others === [] ? Quantity::cases() : $others;
    }

    /**
     * Where shares of the run lie before a wall.
     *
     * @param  list<int>  $pieces
     * @return list<float> share, u, share, u …
     */
    private static function along(Body $body, Fins $fins, array $pieces): array
    {
        $line = $fins->line;
        $stretch = $fins->stretch[$pieces[0]];
        $out = [];
        if ($line->walls[$stretch] === $body->host->id()) {
            // before its wall a stretch runs as the wall does, also round an arc
            $curve = $line->stretches[$stretch];
            foreach ([[0.0, $curve->start()], [$curve->length(), $curve->end()]] as [$s, $at]) {
                array_push($out, ($line->starts[$stretch] + $s) / $line->length, round($body->surface->u($at), 2));
            }

            return $out;
        }
        foreach ($pieces as $i) {
            array_push($out, $fins->share($i), round($body->surface->u(new Vec2($fins->x[$i], $fins->y[$i])), 2));
        }

        return $out;
    }

    /**
     * @param  list<int>  $pieces
     * @param  list<float>  $along
     * @return array<string, mixed>
     */
    private static function curve(Body $body, Fins $fins, array $pieces, array $along, Quantity $quantity): array
    {
        $law = $fins->band->law($quantity);
        $last = count($along) - 2;
        [$from, $to] = [$along[0], $along[$last]];
        $u = static function (float $t) use ($along, $last): float {
            for ($k = 0; $k < $last - 2 && $along[$k + 2] < $t; $k += 2);
            $span = $along[min($k + 2, $last)] - $along[$k];

            return $span < 1e-12 ? $along[$k + 1] : $along[$k + 1]
                + ($along[min($k + 2, $last) + 1] - $along[$k + 1]) * ($t - $along[$k]) / $span;
        };
        $points = [];
        if ($law->kind === LawKind::Seeded || $law->kind === LawKind::Combined) {
            foreach ($pieces as $i) {
                $at = $body->surface->u(new Vec2($fins->x[$i], $fins->y[$i]));
                array_push($points, round($at, 1), round($law->at($fins->share($i), $fins->n[$i]), 2));
            }
        } else {
            $places = $law->same() === null ? self::PLACES : 1;
            for ($k = 0; $k <= $places; $k++) {
                $t = $from + ($to - $from) * $k / $places;
                array_push($points, round($u($t), 1), round($law->at($t, 0), 2));
            }
        }
        $handles = array_values(array_filter(
            $law->handles(),
            static fn (Handle $h): bool => $h->at >= min($from, $to) - 1e-9 && $h->at <= max($from, $to) + 1e-9,
        ));
        [$least, $most] = self::scale($fins, $quantity);

        return [
            'of' => $quantity->value, 'points' => $points, 'least' => $least, 'most' => $most,
            'handles' => array_map(static fn (Handle $h): array => [
                'name' => $h->name, 'u' => round($u($h->at), 2), 'value' => round($h->value, 3), 'slides' => $h->slides,
            ], $handles),
        ];
    }

    /** @return array{float, float} round figures a little beyond all values there are */
    private static function scale(Fins $fins, Quantity $quantity): array
    {
        [$least, $most] = $fins->spread($quantity);
        foreach ($fins->band->law($quantity)->handles() as $handle) {
            [$least, $most] = [min($least, $handle->value), max($most, $handle->value)];
        }
        $room = max($most - $least, 0.2 * abs($most), 1.0) * 0.25;
        $step = 10 ** floor(log10($room));
        $low = floor(($least - $room) / $step) * $step;

        return [$least >= 0 ? max(0.0, $low) : $low, ceil(($most + $room) / $step) * $step];
    }

    /** @return array{float, float} the storey under the band, or else the one over it; where there is none, over its head */
    private static function graph(Design $design, Band $band): array
    {
        $storeys = $design->storeys;
        $at = $storeys->indexOf($band->storey);
        $beside = $storeys->all[$at - 1] ?? $storeys->all[$at + 1] ?? null;
        if ($beside === null) {
            $head = $storeys->ceiling($band->storey);

            return [$head, $head + 2000.0];
        }

        return [$storeys->floor($beside->id), $storeys->ceiling($beside->id)];
    }
}
