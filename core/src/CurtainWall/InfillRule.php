<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** What fills the cells of a part of the grid; of several rules the last one holds. */
final readonly class InfillRule
{
    /**
     * @param  list<int>  $numbers  of rows or bays, from 1
     * @param  float  $below  how far a band reaches under the floors, mm
     * @param  float  $above  how far it reaches over them
     * @param  int  $every  of every nth bay or row, and of a chequer: its n (2)
     * @param  int  $first  the first of them, from 1
     */
    private function __construct(
        public Where $where,
        public Infill $infill,
        public array $numbers,
        public float $below,
        public float $above,
        public int $every,
        public int $first,
    ) {
    }

    public static function everywhere(Infill $infill): self
    {
        return self::from(new Fields(['where' => 'everywhere', 'infill' => $infill->toArray()]));
    }

    public static function from(Fields $f): self
    {
        $where = $f->choice('where', Where::class);
        $numbers = [];
        if ($where === Where::Rows || $where === Where::StoreyRows || $where === Where::Bays) {
            $given = new Fields($f->array('numbers'));
            foreach (array_keys($f->array('numbers')) as $i) {
                $numbers[] = $given->count((string) $i, $where === Where::Bays ? 'The number of a bay' : 'The number of a row', 1, 4000);
            }
        }
        [$below, $above] = $where === Where::Band ? [$f->length('below'), $f->length('above')] : [0.0, 0.0];
        if ($where === Where::Band && $below + $above <= 0) {
            throw Refusal::because(
                'infill.band',
                sprintf('A band from %s under the floors to %s over them has no height.', Length::mark($below), Length::mark($above)),
                details: ['field' => 'above'],
            );
        }
        $nth = $where === Where::EveryBay || $where === Where::EveryRow;

        return new self(
            $where,
            Infill::from($f->fields('infill')),
            $numbers,
            $below,
            $above,
            $nth ? $f->count('every', 'Every how many', 2, 4000) : 2,
            $f->has('first') ? $f->count('first', 'The first of them', 1, 4000) : 1,
        );
    }

    /**
     * Whether it is for a cell.
     *
     * @param  int  $bay  from 0
     * @param  int  $row  from 0
     * @param  float  $middle  level of the cell's middle over the foot, mm
     * @param  int  $ofStorey  the row's place in its storey, from 0
     * @param  list<float>  $floors  levels of all floors over the foot, also of those below it and above the head
     */
    public function holds(int $bay, int $row, float $middle, int $ofStorey, array $floors): bool
    {
        return match ($this->where) {
            Where::Everywhere => true,
            Where::Rows => in_array($row + 1, $this->numbers, true),
            Where::StoreyRows => in_array($ofStorey + 1, $this->numbers, true),
            Where::Bays => in_array($bay + 1, $this->numbers, true),
            Where::Chequer => ($bay + $row + $this->first) % 2 === 1,
            Where::EveryBay => $bay + 1 >= $this->first && ($bay + 1 - $this->first) % $this->every === 0,
            Where::EveryRow => $row + 1 >= $this->first && ($row + 1 - $this->first) % $this->every === 0,
            Where::Band => array_filter(
                $floors,
                fn (float $floor): bool => $middle >= $floor - $this->below && $middle <= $floor + $this->above,
            ) !== [],
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'where' => $this->where->value, 'infill' => $this->infill->toArray(), 'numbers' => $this->numbers,
            'below' => $this->below, 'above' => $this->above, 'every' => $this->every, 'first' => $this->first,
        ];
    }
}
