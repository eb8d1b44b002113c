<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Edge;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Jamb;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Point;
use Isleward\Core\Design\PositionRule;
use Isleward\Core\Design\Reference;
use Isleward\Core\Design\SillDatum;
use Isleward\Core\Design\SillRule;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Aligns openings by their "head", "sill", "left", "right" or "centre" with one of them ("to": its id) or with the nearest
 * opening of the storey below ("to": "below"). With "hold" the relation is kept: they follow when that one moves.
 */
final readonly class OpeningAlign implements Edit
{
    /** @param  list<string>  $ids */
    private function __construct(private array $ids, private string $edge, private string $to, private bool $hold, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $edge = $args->string('edge');
        if (! in_array($edge, ['head', 'sill', 'left', 'right', 'centre'], true)) {
            throw Refusal::because('field.invalid', '“edge” must be one of head, sill, left, right, centre.', details: ['field' => 'edge']);
        }

        return new self(Chosen::openings($args), $edge, $args->string('to'), $args->bool('hold'), $args);
    }

    public function scope(): Scope
    {
        return Scope::around($this->to === 'below' ? $this->ids : [...$this->ids, $this->to]);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $attempt = Attempt::from($design, $this->args);
        foreach ($this->ids as $id) {
            if ($id === $this->to) {
                continue;
            }
            $opening = $design->opening($id);
            $with = $this->to === 'below' ? $this->below($design, $opening) : $design->opening($this->to);
            if ($with === null) {
                $attempt->cannot(
                    $id,
                    sprintf(
                        'Under %s on %s no opening of the storey below lies.',
                        $design->label($opening),
                        $design->storeys->get($opening->storey)->name,
                    ),
                );

                continue;
            }
            try {
                $attempt->alter($opening, $this->aligned($design, $opening, $with));
            } catch (Refusal $refusal) {
                $attempt->cannot($id, $refusal->said($design->settings->units));
            }
        }

        return $attempt->change(
            fn (int $n): string => sprintf(
                'Aligned the %s of %s',
                $this->edge === 'centre'
                                    ? 'centres'
                                    : ($this->edge === 'head' || $this->edge === 'sill' ? $this->edge.'s' : $this->edge.' jambs'),
                Words::counts(['opening' => $n]),
            ),
        );
    }

    private function aligned(Design $design, Opening $opening, Opening $with): Opening
    {
        $places = Places::in($design);
        if ($this->edge === 'head' || $this->edge === 'sill') {
            $edge = Edge::from($this->edge);
            if ($this->to === 'below') {
                // the same height over each one's own floor
                $lift = $design->storeys->floor($opening->storey) - $design->storeys->floor($with->storey);
                $was = $places->of($with);
                $level = ($edge === Edge::Head ? $was->head : $was->sill) + $lift;

                return $opening->withSill($places->sillAt(
                    $opening->sill,
                    $opening,
                    $edge === Edge::Head ? $level - $opening->height : $level,
                ));
            }
            $rule = SillRule::of(SillDatum::Opening, 0.0, $with->id, $edge, $edge);
            $aligned = $opening->withSill($rule);
            References::require($design->after(new Change('', [Operation::alter($opening, $aligned)])), $aligned);

            return $this->hold ? $aligned : $opening->withSill($places->sillAt(
                $opening->sill->from->isOther() ? SillRule::of(SillDatum::Floor, 0.0) : $opening->sill,
                $opening,
                $places->of($aligned)->sill,
            ));
        }
        $point = Point::from($this->edge);
        $to = match ($point) {
            Point::Left => Jamb::Near,
            Point::Right => Jamb::Far,
            Point::Centre => Jamb::Centre,
        };
        $aligned = $opening->withPosition(PositionRule::of(Along::of(Reference::Opening, 0.0, $with->id, $point), $to));
        References::require($design->after(new Change('', [Operation::alter($opening, $aligned)])), $aligned);
        if ($this->hold) {
            return $aligned;
        }

        return $opening->withPosition($places->positionAt(
            $opening->position,
            $design->host($opening->host),
            $opening,
            $places->of($aligned)->left,
        ));
    }

    private function below(Design $design, Opening $opening): ?Opening
    {
        $storey = ($design->storeys->all[$design->storeys->indexOf($opening->storey) - 1] ?? null)?->id;
        if ($storey === null) {
            return null;
        }
        $here = Places::in($design)->of($opening);
        $best = null;
        $least = INF;
        foreach ($design->openingsOf($opening->host) as $other) {
            $away = $other->storey === $storey
                            ? abs(Places::in($design)->of($other)->middle() - $here->middle())
                            : INF;
            if ($away < $least) {
                [$best, $least] = [$other, $away];
            }
        }

        return $best;
    }
}
