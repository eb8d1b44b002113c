<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Arrange\Spacing;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Host;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Reference;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Mirrors openings, their handing too, by moving or copying ("copy"): about the middle of each one's wall ("about":
 * "middle"), an upright line ("line" with "line"), or the centre line of its outline ("outline"), which runs square to
 * the wall, or with "along": true parallel to it.
 */
final readonly class OpeningMirror implements Edit
{
    /** @param  list<string>  $ids */
    private function __construct(private array $ids, private string $about, private bool $copy, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $about = $args->string('about', 'middle');
        if (! in_array($about, ['middle', 'line', 'outline'], true)) {
            throw Refusal::because('field.invalid', '“about” must be one of middle, line, outline.', details: ['field' => 'about']);
        }

        return new self(Chosen::openings($args), $about, $args->bool('copy'), $args);
    }

    public function scope(): Scope
    {
        // the outline's other walls may be where they go
        return $this->about === 'outline' ? Scope::everything() : Scope::around($this->ids);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $attempt = Attempt::from($design, $this->args);
        foreach ($this->ids as $id) {
            $before = $design->opening($id);
            $after = $this->mirrored($design, $before, $attempt);
            if ($after === null) {
                continue;
            }
            if ($this->copy) {
                $attempt->add($after->withId($ids->next(Kind::Opening)));
            } else {
                $attempt->alter($before, $after);
            }
        }

        return $attempt->change(
            fn (int $n): string => sprintf($this->copy ? 'Mirrored a copy of %s' : 'Mirrored %s', Words::counts(['opening' => $n])),
        );
    }

    private function mirrored(Design $design, Opening $opening, Attempt $attempt): ?Opening
    {
        $wall = $design->host($opening->host);
        $handed = ! $opening->mirrored;
        if ($this->about === 'outline') {
            return $this->aboutOutline($design, $opening, $wall, $attempt)?->withHanding($handed);
        }
        $placed = Places::in($design)->of($opening);
        if ($this->about === 'line') {
            $at = Places::in($design)->along(Along::of(Reference::Line, 0.0, $design->line($this->args->string('line'))->id), $wall);
            $left = Spacing::mirrored($placed->left, $placed->right - $placed->left, $at);

            return self::at($design, References::onItsOwn($design, $opening), $wall, $left)->withHanding($handed);
        }
        if ($opening->position->along->ref === null) {
            return $opening->withPosition($opening->position->turned($wall->face()->length()))->withHanding($handed);
        }
        [$start, $end] = Places::in($design)->span($wall);

        return self::at(
            $design,
            References::onItsOwn($design, $opening),
            $wall,
            Spacing::mirrored($placed->left, $placed->right - $placed->left, ($start + $end) / 2),
        )->withHanding($handed);
    }

    private function aboutOutline(Design $design, Opening $opening, Host $wall, Attempt $attempt): ?Opening
    {
        $walls = $design->wallsOf($wall->outline());
        $surface = Places::in($design)->surface($wall);
        // the axis that is mirrored: along the wall, or square to it
        $placed = Places::in($design)->of($opening);
        $axis = $this->args->bool('along') ? $surface->outward($placed->middle()) : $surface->tangent($placed->middle());
        $reach = [$wall->leftEnd()->dot($axis)];
        foreach ($walls as $each) {
            array_push($reach, $each->from->dot($axis), $each->to->dot($axis));
        }
        $centre = (min($reach) + max($reach)) / 2;
        $over = static fn (Vec2 $p): Vec2 => $p->plus($axis->times(2 * ($centre - $p->dot($axis))));
        $left = $over($surface->inPlan($placed->right));
        $right = $over($surface->inPlan($placed->left));
        $span = $placed->right - $placed->left;
        foreach ($walls as $other) {
            $face = Places::in($design)->surface($other);
            if (abs($face->depth($left)) > 1.0
                            || abs($face->depth($right)) > 1.0
                            || ! $design->storeys->isWithin($opening->storey, $other->base(), $other->top())
                            || $face->u($right) - $face->u($left) < $span - 1) {
                continue;
            }
            $u = $face->u($left);
            if ($u > -$span && $u < $face->length) {
                $moved = References::onItsOwn($design, $opening)->withHost($other->id());

                return self::at($design, $moved, $other, abs($u) < Tolerance::LENGTH ? 0.0 : $u);
            }
        }
        $attempt->cannot(
            $opening->id,
            sprintf(
                'Mirrored about the outline’s centre line, %s on %s would meet no wall.',
                $design->label($opening),
                $design->storeys->get($opening->storey)->name,
            ),
        );

        return null;
    }

    private static function at(Design $design, Opening $opening, Host $wall, float $left): Opening
    {
        return $opening->withPosition(Places::in($design)->positionAt($opening->position, $wall, $opening, $left));
    }
}
