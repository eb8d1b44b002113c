<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\CurtainWall\Axis;
use Isleward\Core\CurtainWall\FreeMember;
use Isleward\Core\CurtainWall\Grid;
use Isleward\Core\CurtainWall\GridCell;
use Isleward\Core\CurtainWall\LetIn;
use Isleward\Core\CurtainWall\LineChange;
use Isleward\Core\CurtainWall\LineFrom;
use Isleward\Core\CurtainWall\Lines;
use Isleward\Core\CurtainWall\MemberChange;
use Isleward\Core\CurtainWall\MemberProfile;
use Isleward\Core\CurtainWall\Role;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** The cells of a curtain wall as they stand before it is changed by hand: joined, divided, measured. */
final readonly class CurtainCells
{
    public function __construct(private Design $design, private Curtained $curtained)
    {
    }

    /**
     * The pieces of lines between cells, as taken away.
     *
     * @param  list<Fields>  $cells
     * @return list<MemberChange>
     *
     * @throws Refusal when no two of them lie side by side
     */
    public function between(array $cells): array
    {
        $gone = [];
        $these = array_map(fn (Fields $f): array => [$this->cell($f), $f->string('left')], $cells);
        foreach ($these as [$a, $left]) {
            [$grid, $ofFacet] = $this->grid($left);
            foreach ($these as [$b, $other]) {
                $facets = $ofFacet && $left !== $other;
                if (! $facets && $a->right === $b->left) {
                    foreach (self::shared($grid->rows, [$a->foot, $a->head], [$b->foot, $b->head]) as $from) {
                        $gone[] = ['axis' => 'upright', 'line' => $b->left, 'from' => $from];
                    }
                } elseif (! $facets && $a->head === $b->foot) {
                    foreach (self::shared($grid->bays, [$a->left, $a->right], [$b->left, $b->right]) as $from) {
                        $gone[] = ['axis' => 'level', 'line' => $b->foot, 'from' => $ofFacet ? $left : $from];
                    }
                }
            }
        }
        if ($gone === [] && $cells !== []) {
            throw Refusal::because('cell.apart', 'Those cells do not lie side by side.', [$this->curtained->element->id()]);
        }

        return array_map(static fn (array $values): MemberChange => MemberChange::from(new Fields($values)), $gone);
    }

    /**
     * Where two cells lie beside each other: whole lines that cross the one between them, from which pieces of it begin.
     *
     * @param  array{string, string}  $a  from which line to which one of them reaches
     * @param  array{string, string}  $b
     * @return list<string>
     */
    private static function shared(Lines $lines, array $a, array $b): array
    {
        $at = static fn (string $name): int => $lines->place($name) ?? throw new \LogicException('Cells lie between lines.');
        [$from, $to] = [max($at($a[0]), $at($b[0])), min($at($a[1]), $at($b[1]))];

        return $from < $to ? array_slice($lines->names, $from, $to - $from) : [];
    }

    /** The cell at a line, over a line. The one bay of a facet begins at the line that the facet begins at. */
    private function cell(Fields $at): GridCell
    {
        [$left, $foot] = [$at->string('left'), $at->string('foot')];
        [$grid, $ofFacet] = $this->grid($left);
        foreach ($grid->cells as $one) {
            if (($ofFacet || $one->left === $left) && $one->foot === $foot) {
                return $one;
            }
        }

        throw Refusal::because('cell.unknown', 'That cell is not there any more.', [$this->curtained->element->id()]);
    }

    /** What a free member is when nothing is said: as the type's transoms, or as its mullions. */
    public function usual(): MemberProfile
    {
        $rules = Runs::type($this->design, $this->curtained->curtain->grid)->rules();

        return $rules->profile(Role::Transom) ?? $rules->profile(Role::Mullion) ?? throw Refusal::because(
            'free.no_profile',
            'This type has no members: say the section of the free one.',
            [$this->curtained->element->id()],
        );
    }

    /**
     * What divides a cell in two, "at" so far from the line at its left or under it, else in the middle between its lines: a line more, in
     * its bay or row only, or "through" the whole "stretch"; of one that was joined of several bays or rows a free member across it.
     *
     * @throws Refusal when that lies past the cell
     */
    public function dividing(Fields $divide): LineChange|FreeMember
    {
        $cell = $this->cell($divide);
        $level = $divide->string('axis', 'level') === 'level';
        [$grid] = $this->grid($divide->string('left'));
        $lines = $level ? $grid->rows : $grid->bays;
        [$from, $to] = $level ? [$cell->foot, $cell->head] : [$cell->left, $cell->right];
        $gap = abs(self::at($lines, $to) - self::at($lines, $from));
        $at = $divide->has('at') ? $divide->size('at', 'Where a cell is divided') : $gap / 2;
        if ($at >= $gap) {
            throw self::past($cell, $level, $at, $gap);
        }
        $part = $divide->string('through', 'part') !== 'stretch';
        if ($part && ($level ? $cell->bays : $cell->rows) > 1) {
            return $this->across($cell, $level, self::at($lines, $from) + $at);
        }
        $within = $level ? $divide->string('left') : $divide->string('foot');

        return LineChange::from(new Fields([
            'axis' => $level ? 'level' : 'upright', 'done' => 'added', 'line' => '+', 'from' => 'before', 'beside' => $from, 'at' => $at,
        ] + ($part ? ['within' => $within] : [])));
    }

    private static function at(Lines $lines, string $name): float
    {
        return $lines->at[$lines->place($name) ?? throw new \LogicException('Cells lie between lines.')];
    }

    /** A member across a cell, as its type's transoms or mullions are. */
    private function across(GridCell $cell, bool $level, float $at): FreeMember
    {
        [$x0, $y0, $x1, $y1] = $cell->contour()->bounds();
        $rules = Runs::type($this->design, $this->curtained->curtain->grid)->rules();
        $profile = $rules->profile($level ? Role::Transom : Role::Mullion) ?? $this->usual();

        return $level
            ? FreeMember::across($profile, new Vec2($x0, $at), new Vec2($x1, $at))
            : FreeMember::across($profile, new Vec2($at, $y0), new Vec2($at, $y1));
    }

    private static function past(GridCell $cell, bool $level, float $at, float $gap): Refusal
    {
        return Refusal::because('cell.past', sprintf(
            '%s lies past the end of the cell of %s, which is %s %s from line to line.',
            Length::mark($at),
            $cell->name(),
            Length::mark($gap),
            $level ? 'high' : 'wide',
        ), details: ['field' => 'at', 'there' => $gap]);
    }

    /** @return array{Grid, bool} the grid with a line, and whether it is a facet's: of an arc in facets the one that begins there */
    private function grid(string $left): array
    {
        if (! $this->curtained->element instanceof Wall) {
            return [LetIn::of($this->design, Places::in($this->design)->of($this->curtained->element))->stretches[0]->grid(), false];
        }
        $standing = Runs::in($this->design)->at($this->curtained->element->id);
        $parts = $standing->partsOf($standing->indexOf($this->curtained->element->id));
        foreach ($parts as $part) {
            if ($part->line === $left) {
                return [$part->stretch->grid(), true];
            }
        }

        return [$parts[0]->stretch->grid(), false];
    }

    /**
     * What a line that was added is measured from when it is moved, where that is the line before or after it.
     *
     * @throws Refusal on facets, whose kinks are no lines beside each other
     */
    public function beside(LineChange $change): ?string
    {
        if (! $change->from->isBesideAnother()) {
            return null;
        }
        $grid = $this->grid(Lines::START)[0];
        $lines = $change->axis === Axis::Upright ? $grid->bays : $grid->rows;
        $place = $lines->place($change->name());
        [$before, $after] = $place === null ? [null, null] : $lines->beside($place);
        $beside = $change->from === LineFrom::Before ? $before : $after;

        return $beside !== null ? $lines->names[$beside] : throw Refusal::because(
            'lines.beside',
            'A line that was added to facets is measured from an end.',
            [$this->curtained->element->id()],
        );
    }

    /** How wide the first of its grids is, mm. */
    public function width(): float
    {
        return $this->grid(Lines::START)[0]->width;
    }
}
