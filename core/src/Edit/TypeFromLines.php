<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Solved;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Misfit;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Given\Held;
use Isleward\Core\Given\Kinds;
use Isleward\Core\Given\Marks;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Makes unit types of the lines of a given schedule ("lines": mark, kind, width, height, sill), each like the ready type that its kind
 * means or that "likes" names for its kind (kind → mark of a ready type), of the line's size, with its mark. A type that is there
 * already in this mark and size stays; what cannot be made is told.
 */
final readonly class TypeFromLines implements Edit
{
    /** @param  list<Fields>  $lines */
    private function __construct(private array $lines, private Fields $likes, private bool $fittingOnly)
    {
    }

    public static function from(Fields $args): self
    {
        return new self(
            $args->list('lines'),
            $args->has('likes') ? $args->fields('likes') : new Fields([]),
            $args->string('fit', 'all') === 'fitting',
        );
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $byMark = $operations = $misfits = $made = [];
        foreach ($design->types as $type) {
            $byMark[Marks::key($type->mark)] = $type;
        }
        $there = 0;
        $position = UnitType::lastPosition($design->types);
        foreach ($this->lines as $line) {
            $mark = $line->string('mark');
            try {
                $type = $this->type($line, $ids, $position + 1);
                $known = $byMark[Marks::key($mark)] ?? null;
                if ($known !== null) {
                    if (abs($known->width - $type->width) > Held::SAME || abs($known->height - $type->height) > Held::SAME) {
                        throw Refusal::because(
                            'type.mark_taken',
                            sprintf(
                                '%s is on the rack already, %s × %s.',
                                $known->mark,
                                Words::length($design, $known->width),
                                Words::length($design, $known->height),
                            ),
                            [$known->id],
                        );
                    }
                    $there++;

                    continue;
                }
                Solved::of($type, $type->width, $type->height);
            } catch (Refusal $refusal) {
                $misfits[] = new Misfit($mark, sprintf('%s: %s', $mark, $refusal->said($design->settings->units)));

                continue;
            }
            $byMark[Marks::key($mark)] = $type;
            $operations[] = Operation::add($type);
            $made[] = $type->id;
            $position++;
        }
        if ($made === [] && $misfits === []) {
            throw Refusal::because(
                'arrange.nothing',
                $there === 0 ? 'There is no line to make a type of.' : 'All of them are on the rack already.',
            );
        }
        $notes = $there === 0
                    ? []
                    : [sprintf('%s on the rack already and %s.', $there === 1 ? 'One is' : "$there are", $there === 1 ? 'stays' : 'stay')];

        return new Change(
            sprintf('Made %s of a given schedule', Words::counts(['unit type' => count($made)])),
            $operations,
            $made,
            $misfits,
            $notes,
            $this->fittingOnly,
            count($this->lines) - $there,
        );
    }

    private function type(Fields $line, Ids $ids, int $position): UnitType
    {
        $kind = trim($line->string('kind', ''));
        $like = $this->likes->has($kind === '' ? '–' : $kind) ? $this->likes->string($kind === '' ? '–' : $kind) : Kinds::like($kind);
        $ready = $like === null ? null : Kinds::ready($like);
        if ($ready === null) {
            throw Refusal::because(
                'type.unknown_kind',
                $kind === ''
                                    ? 'its line says no kind: choose what it is like.'
                                    : sprintf('“%s” is no kind that is known: choose what it is like.', $kind),
            );
        }
        $sill = $line->has('sill') ? $line->length('sill') : $ready['sill'];

        return UnitType::from(
            new Fields(
                ['id' => $ids->next(Kind::Type), 'position' => $position, 'mark' => $line->string('mark'), 'name' => mb_substr(
                    $kind === '' ? (is_string($ready['name']) ? $ready['name'] : '') : $kind,
                    0,
                    80,
                ),
                    'width' => $line->size('width', 'The width of '.$line->string('mark'), 1.0),
                    'height' => $line->size('height', 'The height of '.$line->string('mark'), 1.0), 'sill' => $sill] + $ready));
    }
}
