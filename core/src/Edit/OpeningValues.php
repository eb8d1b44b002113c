<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Meeting;
use Isleward\Core\Building\Nib;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Edge;
use Isleward\Core\Design\Face;
use Isleward\Core\Design\Jamb;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Point;
use Isleward\Core\Design\PositionRule;
use Isleward\Core\Design\Reference;
use Isleward\Core\Design\SillDatum;
use Isleward\Core\Design\SillRule;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** What an opening becomes when some of its values are changed: {@see OpeningChange} says which there are. */
final readonly class OpeningValues
{
    private const PLAIN = ['storey', 'type', 'position', 'sill', 'facesOut', 'mirrored', 'ajar', 'jambs'];

    /** @param  bool  $differences  figures that begin with + or − are added to what is there */
    public function __construct(private Design $design, private Fields $args, private bool $differences)
    {
    }

    /** @throws Refusal when a figure cannot be */
    public function of(Opening $before): Opening
    {
        $was = Places::in($this->design)->of($before);
        $after = $this->sizes($before, $was);
        $after = $this->measuredAnew($after, $was);

        return $this->moved($after, $was);
    }

    private function sizes(Opening $before, PlacedOpening $was): Opening
    {
        $given = array_intersect_key($this->args->all(), array_flip(self::PLAIN));
        foreach (['width' => $before->width, 'height' => $before->height, 'setback' => $before->setback] as $name => $now) {
            if ($this->args->has($name)) {
                $given[$name] = $this->figure($name, $now);
            }
        }
        if ($this->args->has('sillHeight')) {
            $given['sill'] = $before->sill->withHeight($this->figure('sillHeight', $before->sill->height))->toArray();
        }
        if ($this->args->has('value')) {
            $given['position'] = PositionRule::of(
                $before->position->along->withValue($this->figure('value', $before->position->along->value)),
                $before->position->to,
            )->toArray();
        }
        if (array_key_exists('type', $given)) {
            $given['curtain'] = null; // it is filled with the one or the other
        }
        $after = Opening::from(new Fields([...$before->toArray(), ...$given], $this->args->units()));
        $keepsHead = $this->args->string('keep', 'sill') === 'head';
        if ($this->args->has('head')) {
            $after = $this->withHead($after, $keepsHead);
        } elseif ($keepsHead && $this->args->has('sillHeight')) {
            $sill = Places::in($this->design)->of($after)->sill;
            $after = $this->withHeight($after, $was->head - $sill, $sill);
        } elseif ($keepsHead && $after->height !== $before->height) {
            $after = $after->withSill(Places::in($this->design)->sillAt($after->sill, $after, $was->head - $after->height));
        }

        return $after;
    }

    /** The head is given over what the sill is measured from. With the height kept the opening moves, else it grows. */
    private function withHead(Opening $after, bool $keepsHeight): Opening
    {
        $origin = Places::in($this->design)->of($after)->sill - $after->sill->height + ($after->sill->edge === Edge::Head
                    ? $after->height
                    : 0.0);
        $sill = Places::in($this->design)->of($after)->sill;
        $head = $origin + $this->figure('head', $sill + $after->height - $origin);
        if ($keepsHeight) {
            return $after->withSill(Places::in($this->design)->sillAt($after->sill, $after, $head - $after->height));
        }

        return $this->withHeight($after, $head - $sill, $sill);
    }

    private function withHeight(Opening $after, float $height, float $sill): Opening
    {
        if ($height < 1) {
            throw Refusal::because('opening.head_under_sill', sprintf(
                'A head at %s would lie under the sill at %s.', Length::format($sill + $height, $this->args->units()),
                Length::format($sill, $this->args->units())), [$after->id]);
        }
        $after = $after->withHeight($height);

        return $after->withSill(Places::in($this->design)->sillAt($after->sill, $after, $sill));
    }

    private function measuredAnew(Opening $after, PlacedOpening $was): Opening
    {
        $places = Places::in($this->design);
        if ($this->args->has('measure')) {
            $m = $this->args->fields('measure');
            $now = $after->position->along;
            $from = $m->choice('from', Reference::class, $now->from);
            $along = Along::of(
                $from, 0.0, $m->stringOrNull('ref') ?? $now->ref, $m->choice('point', Point::class, $now->point),
                $m->has('at') ? $m->length('at') : $now->at, $m->choice('face', Face::class, $now->face),
            );
            $rule = PositionRule::of($along, $m->choice('to', Jamb::class, $after->position->to));
            $after = $after->withPosition($places->positionAt($rule, $this->design->host($after->host), $after, $was->left));
        }
        if ($this->args->has('sillFrom') || $this->args->has('measureSill')) {
            $m = $this->args->has('measureSill')
                            ? $this->args->fields('measureSill')
                            : new Fields(['from' => $this->args->string('sillFrom')]);
            $now = $after->sill;
            $rule = SillRule::of(
                $m->choice('from', SillDatum::class, $now->from), 0.0, $m->stringOrNull('ref') ?? $now->ref,
                $m->choice('point', Edge::class, $now->point), $m->choice('edge', Edge::class, $now->edge),
            );
            $after = $after->withSill($places->sillAt($rule, $after, $was->sill));
        }

        return $after;
    }

    private function moved(Opening $after, PlacedOpening $was): Opening
    {
        $places = Places::in($this->design);
        $by = $this->args->has('by') ? $this->args->fields('by') : null;
        $left = $this->args->has('leftJamb')
                    ? $this->args->length('leftJamb')
                    : ($by?->has('u') === true ? $was->left + $by->length('u') : $this->besideNib($after));
        if ($left !== null) {
            $after = $after->withPosition($places->positionAt($after->position, $this->design->host($after->host), $after, $left));
        }
        $sill = $this->args->has('sillLevel')
                    ? $this->args->length('sillLevel')
                    : ($by?->has('v') === true ? $was->sill + $by->length('v') : null);
        if ($sill !== null) {
            $after = $after->withSill($places->sillAt($after->sill, $after, $sill));
        }

        return $after;
    }

    private function figure(string $name, float $now): float
    {
        if (! $this->differences) {
            return $this->args->length($name);
        }
        [$mm, $difference] = $this->args->lengthOrDifference($name);

        return $difference ? $now + $mm : $mm;
    }

    /** Where the left jamb lies for a nib of a given width; null where none is given. */
    private function besideNib(Opening $after): ?float
    {
        if (! $this->args->has('nib')) {
            return null;
        }
        $given = $this->args->fields('nib');
        $atRight = match ($given->string('side')) {
            'left' => false,
            'right' => true,
            default => throw Refusal::because('position.nib_side', 'A nib is on the left or on the right of an opening.', [$after->id]),
        };
        $body = Bodies::one($this->design, $this->design->host($after->host));
        $p = Places::in($this->design)->of($after);
        $nib = Nib::beside($this->design, $body, Meeting::abutments($this->design, $body), $p, $atRight);

        return $nib->leftJamb($p, $atRight, $given->size('width', 'A nib', 0.0));
    }
}
