<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Point;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Copies openings to other walls ("walls"), each keeping its position rule and its sill; or to the "opposite" wall of their
 * outline ("walls": "opposite"), each facing where it came from: measured the same way from the other end, or with "fromLeft" as it is from
 * the left. With "pick" {opening, point} and "put" {from, …, host, storey} they are picked up at a named point of one of
 * them and put down with that point at a place along a wall ({@see Along}), all by the same way.
 */
final readonly class OpeningCopy implements Edit
{
    /** @param  list<string>  $ids */
    private function __construct(private array $ids, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        if (! $args->has('walls') && ! ($args->has('pick') && $args->has('put'))) {
            throw Refusal::because('copy.where', 'Say where to: walls, or a point to pick up at and a place to put down.');
        }

        return new self(Chosen::openings($args), $args);
    }

    public function scope(): Scope
    {
        if ($this->toOpposite()) {
            return Scope::everything();
        }
        if ($this->args->has('put')) {
            $put = $this->args->fields('put');

            return Scope::around(
                array_values(array_filter([...$this->ids, $put->stringOrNull('ref')], static fn (?string $id): bool => $id !== null)),
                [$put->string('host')],
            );
        }

        return Scope::around($this->ids, $this->args->strings('walls'));
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $attempt = Attempt::from($design, $this->args);
        if ($this->args->has('put')) {
            $this->putDown($design, $attempt, $ids);
        } else {
            $transplant = new Transplant($design, $attempt);
            foreach ($this->ids as $id) {
                $opening = $design->opening($id);
                foreach ($this->targets($design, $opening, $attempt) as $wall) {
                    $copy = $transplant->onWall($opening, $wall, $ids->next(Kind::Opening));
                    $attempt->add($this->toOpposite() && ! $this->args->bool('fromLeft') ? self::facing(
                        $design,
                        $opening,
                        $copy,
                        $wall,
                    ) : $copy);
                }
            }
        }

        return $attempt->change(static fn (int $n): string => sprintf('Copied %s', Words::counts(['opening' => $n])));
    }

    /** A copy where its jambs lie straight across from those it was copied from. */
    private static function facing(Design $design, Opening $opening, Opening $copy, Wall $wall): Opening
    {
        $own = $design->host($opening->host);
        [$start, $end] = Places::in($design)->span($own);
        $right = Places::in($design)->surface($own)->inPlan(Places::in($design)->of($opening)->right);
        $rule = Places::in($design)->positionAt(
            $copy->position->turned($end - $start),
            $wall,
            $copy,
            Places::in($design)->surface($wall)->u($right),
        );

        return $copy->withPosition($rule);
    }

    private function putDown(Design $design, Attempt $attempt, Ids $ids): void
    {
        $pick = $this->args->fields('pick');
        $put = $this->args->fields('put');
        $held = $design->opening($pick->string('opening'));
        $wall = $design->host($put->string('host'));
        $storey = $put->stringOrNull('storey');
        $target = Places::in($design)->along(Along::from($put), $wall);
        $at = Places::in($design)->of($held);
        $way = $target - $at->left - $pick->choice('point', Point::class)->inWidth($at->right - $at->left);
        $transplant = new Transplant($design, $attempt);
        $steps = $storey === null ? 0 : $design->storeys->indexOf($storey) - $design->storeys->indexOf($held->storey);
        foreach ($this->ids as $id) {
            $opening = $design->opening($id);
            $copy = $opening->host === $wall->id()
                            ? $opening->withId($ids->next(Kind::Opening))
                            : $transplant->onWall($opening, $wall, $ids->next(Kind::Opening));
            if ($steps !== 0) {
                $at = $design->storeys->indexOf($opening->storey) + $steps;
                if (! isset($design->storeys->all[$at])) {
                    $attempt->cannot($id, 'There is no storey there.');

                    continue;
                }
                $copy = $transplant->onStorey($opening, $design->storeys->all[$at]->id, $copy->id)
                    ->withHost($wall->id())->withPosition($copy->position);
            }
            $rule = Places::in($design)->positionAt(
                $copy->position,
                $wall,
                $opening,
                Places::in($design)->of($opening)->left + $way,
            );
            $attempt->add($copy->withPosition($rule));
        }
    }

    /** @return list<Wall> */
    private function targets(Design $design, Opening $opening, Attempt $attempt): array
    {
        if (! $this->toOpposite()) {
            return array_map($design->wall(...), $this->args->strings('walls'));
        }
        $wall = $design->host($opening->host);
        $surface = Places::in($design)->surface($wall);
        $best = null;
        $most = 0.0;
        foreach ($design->wallsOf($wall->outline()) as $other) {
            $face = Places::in($design)->surface($other);
            [$here, $there] = [$surface->length / 2, $face->length / 2];
            $away = $surface->depth($face->inPlan($there));
            $lies = $surface->tangent($here)->dot($face->tangent($there)) < -1 + 1e-9
                            && $surface->isFlat() === $face->isFlat()
                            && $design->storeys->isWithin($opening->storey, $other->base, $other->top);
            if ($lies && $away > $most) {
                [$best, $most] = [$other, $away];
            }
        }
        if ($best === null) {
            $attempt->cannot($opening->id, 'No wall of its outline lies opposite on that storey.');

            return [];
        }

        return [$best];
    }

    private function toOpposite(): bool
    {
        return ($this->args->all()['walls'] ?? null) === 'opposite';
    }
}
