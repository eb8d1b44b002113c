<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Wall;
use Isleward\Core\Design\WallEdge;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\Roofs;

/** Says what the heads or feet of walls follow: a roof, or levels and slopes by figures; null makes them level again. */
final readonly class WallEdges implements Edit
{
    /** @param  non-empty-list<string>  $walls */
    private function __construct(private array $walls, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $walls = array_values(array_unique($args->strings('walls')));

        return new self($walls === [] ? throw Refusal::because('wall.none_chosen', 'Choose a wall first.') : $walls, $args);
    }

    public function scope(): Scope
    {
        return Scope::ofWalls(...$this->walls);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $given = array_intersect_key($this->args->all(), array_flip(['head', 'foot']));
        if ($given === []) {
            throw Refusal::because('wall.edge', 'Say what the head or the foot follows.', details: ['field' => 'head']);
        }
        $edges = array_map(fn (string $which): ?WallEdge => $this->args->has($which)
            ? WallEdge::from($this->args->fields($which)) : null, array_combine(array_keys($given), array_keys($given)));
        $operations = [];
        foreach ($this->walls as $id) {
            $before = $design->wall($id);
            if ($before->curtain !== null && array_key_exists('foot', $edges)) {
                throw Refusal::because('wall.edge_curtain', 'A curtain wall has a level foot of its own: that follows nothing.', [$id]);
            }
            $after = array_key_exists('head', $edges) ? $before->withHead($edges['head']) : $before;
            $operations[] = Operation::alter($before, array_key_exists('foot', $edges) ? $after->withFoot($edges['foot']) : $after);
        }
        $then = $design->after(new Change('', $operations));
        Standing::require($then, $design, $this->walls);
        foreach ($this->walls as $id) {
            $this->requireFollows($then, $then->wall($id));
        }

        return new Change(self::said($then, count($operations), $edges), $operations, $this->walls);
    }

    /**
     * Makes level again what follows a roof that goes, besides what becomes of walls otherwise: of each wall in one operation.
     *
     * @param  array<string, mixed>  $gone  by id, the roofs and the walls that go
     * @param  list<Operation>  $operations  some of which may change one wall in several ways: its levels, its curtain wall
     * @return list<Operation>
     */
    public static function released(Design $design, array $gone, array $operations = []): array
    {
        $out = $walls = [];
        foreach ($operations as $operation) {
            $after = $operation->after;
            if (! $after instanceof Wall || $operation->before === null) {
                $out[] = $operation;

                continue;
            }
            $before = $design->wall($after->id);
            $now = $walls[$after->id] ?? $before;
            // what each of them has changed of it
            $now = $after->curtain === $before->curtain ? $now : $now->withCurtain($after->curtain, $after->thickness);
            $now = $after->base === $before->base ? $now : $now->withBase($after->base);
            $walls[$after->id] = $after->top === $before->top ? $now : $now->withTop($after->top);
        }
        foreach ($design->walls as $wall) {
            if (isset($gone[$wall->id])) {
                continue;
            }
            $after = $walls[$wall->id] ?? $wall;
            $after = isset($gone[(string) $wall->head?->roof]) ? $after->withHead(null) : $after;
            $after = isset($gone[(string) $wall->foot?->roof]) ? $after->withFoot(null) : $after;
            if ($after !== $wall) {
                $out[] = Operation::alter($wall, $after);
            }
        }

        return $out;
    }

    private function requireFollows(Design $design, Wall $wall): void
    {
        $body = Bodies::one($design, $wall);
        foreach (['head' => [$wall->head, $body->heads], 'foot' => [$wall->foot, $body->feet]] as $which => [$edge, $cover]) {
            if ($edge === null || $cover !== null) {
                continue;
            }
            $roof = $edge->roof === null ? null : Roofs::roof($design, $edge->roof);
            $shape = $roof === null ? null : Roofs::in($design)->of($roof);
            $planes = $roof === null ? null : Roofs::in($design)->cover($roof, false);
            if ($roof !== null && ($planes === null || ! $body->isCoveredBy($planes))) {
                throw Refusal::because('wall.not_under', sprintf(
                    '%s does not lie over all of this wall: its %s cannot follow it.', $roof->name, $which,
                ), [$wall->id, $roof->id], ['field' => $which]);
            }
            $lies = $roof === null || $shape === null ? '' : sprintf(
                ', and %s lies between %s and %s', $roof->name, Length::mark($shape->foot()), Length::mark($shape->top()),
            );
            throw Refusal::because('wall.no_height', Length::said(sprintf(
                'This leaves the wall no height somewhere: its foot stands at %s and its head ends at %s%s.',
                Length::mark($body->foot), Length::mark($body->head), $lies,
            ), $design->settings->units), [$wall->id], ['field' => $which]);
        }
    }

    /** @param  array<string, WallEdge|null>  $edges */
    private static function said(Design $design, int $count, array $edges): string
    {
        $walls = Words::counts(['wall' => $count]);
        foreach ($edges as $which => $edge) {
            if ($edge?->roof !== null) {
                $name = Roofs::roof($design, $edge->roof)->name;

                return $which === 'head' ? sprintf('Ran %s up to %s', $walls, $name) : sprintf('Stood %s on %s', $walls, $name);
            }
        }
        $which = implode(' and ', array_keys($edges));

        return sprintf(array_filter($edges) === [] ? 'Made the %s of %s level' : 'Set the %s of %s by figures', $which, $walls);
    }
}
