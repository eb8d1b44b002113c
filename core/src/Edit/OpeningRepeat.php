<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Arrange\Spacing;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Opening;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Repeats openings along their walls, each with its position rule, sill, unit and handing:
 *
 * - "by": "pitch": "count" more, each "pitch" further to the right (negative: to the left), measured from the same point of each;
 * - "by": "ends": "count" in all between the wall's ends, with equal gaps also at the ends;
 * - "by": "fit": as many as leave "pier" at the least between them and at the ends, with equal gaps.
 *
 * In the last two the one there is takes the nearest of the places; one opening a storey of a wall is repeated.
 */
final readonly class OpeningRepeat implements Edit
{
    public const MOST = 5000;

    /** @param  list<string>  $ids */
    private function __construct(private array $ids, private string $by, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $by = $args->string('by', 'pitch');
        if (! in_array($by, ['pitch', 'ends', 'fit'], true)) {
            throw Refusal::because('field.invalid', '“by” must be one of pitch, ends, fit.', details: ['field' => 'by']);
        }

        return new self(Chosen::openings($args), $by, $args);
    }

    public function scope(): Scope
    {
        return Scope::around($this->ids);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $attempt = Attempt::from($design, $this->args);
        if ($this->by === 'pitch') {
            $this->byPitch($design, $attempt, $ids);
        } else {
            foreach (Chosen::byRow($design, $this->ids) as $row) {
                if (count($row) > 1) {
                    throw Refusal::because(
                        'repeat.one',
                        'Between the ends one opening is repeated: choose one on each storey of a wall, or repeat by a pitch.',
                        array_map(static fn (Opening $o): string => $o->id, $row),
                    );
                }
                $this->between($design, $attempt, $ids, $row[0]);
            }
        }

        return $attempt->change(fn (int $n): string => sprintf('Repeated %s: %s', $this->what($design), Words::counts(['opening' => $n])));
    }

    private function byPitch(Design $design, Attempt $attempt, Ids $ids): void
    {
        $count = $this->args->count('count', 'The number of repeats', 1, self::MOST);
        if ($count * count($this->ids) > self::MOST) {
            throw Refusal::because(
                'count.out_of_range',
                sprintf(
                    '%d openings repeated %d times are more than the %d that can be made at once.',
                    count($this->ids),
                    $count,
                    self::MOST,
                ),
            );
        }
        $pitch = $this->args->length('pitch');
        if (abs($pitch) < 1) {
            throw Refusal::because('repeat.pitch', 'A pitch of nothing would put all of them on one spot.');
        }
        foreach ($this->ids as $id) {
            $opening = $design->opening($id);
            foreach (Spacing::byPitch(Places::in($design)->of($opening)->left, $pitch, $count)->starts as $left) {
                $attempt->add(self::at($design, $opening, $left, $ids->next(Kind::Opening)));
            }
        }
    }

    private function between(Design $design, Attempt $attempt, Ids $ids, Opening $opening): void
    {
        [$start, $end] = Places::in($design)->span($design->host($opening->host));
        $span = Places::in($design)->spanOf($opening);
        $spaced = $this->by === 'fit'
            ? Spacing::asManyAsFit($span, $start, $end, $this->args->size('pier', 'The least pier', 0.0))
            : Spacing::equalGaps(
                array_fill(0, $this->args->count('count', 'The number between the ends', 1, self::MOST), $span),
                $start,
                $end,
                true,
            );
        if ($spaced->gap < -0.01) {
            throw Refusal::because(
                'arrange.no_room',
                sprintf(
                    '%d would overlap by %s each: there is no room for them between the ends.',
                    count($spaced->starts),
                    Words::length($design, -$spaced->gap),
                ),
                [$opening->id],
            );
        }
        $starts = $spaced->starts;
        $was = Places::in($design)->of($opening)->left;
        usort($starts, static fn (float $a, float $b): int => abs($a - $was) <=> abs($b - $was));
        $attempt->alter($opening, self::at($design, $opening, $starts[0], $opening->id));
        foreach (array_slice($starts, 1) as $left) {
            $attempt->add(self::at($design, $opening, $left, $ids->next(Kind::Opening)));
        }
        $attempt->note(sprintf('Gaps of %s.', Words::length($design, $spaced->gap)));
    }

    private static function at(Design $design, Opening $opening, float $left, string $id): Opening
    {
        $rule = Places::in($design)->positionAt($opening->position, $design->host($opening->host), $opening, $left);

        return $opening->withId($id)->withPosition($rule);
    }

    private function what(Design $design): string
    {
        return count($this->ids) === 1 ? $design->label($design->opening($this->ids[0])) : Words::counts(['opening' => count($this->ids)]);
    }
}
