<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\Design\Kept;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Naming;
use Isleward\Core\Design\Tie;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** A sheet of drawings: its number, title and paper, and what stands on it where, mm of paper from its upper left corner. */
final readonly class SheetPlan implements Kept
{
    public const KINDS = ['elevation', 'plan', 'section', 'schedule'];

    private const MOST = 40;

    /**
     * @param  list<array{kind: string, ref: string, scale: float, x: float, y: float}>  $items  scale 100 for 1:100; x and y of the upper
     *    left corner
     */
    private function __construct(public string $id, public string $name, public string $number, public Paper $paper, public array $items)
    {
    }

    /** @throws Refusal when no drawing is made at that scale */
    public static function requireScale(float $scale): void
    {
        if (! ($scale >= 1 && $scale <= 10_000)) {
            throw Refusal::because('sheet.scale', 'A scale runs from 1:1 to 1:10 000.', details: ['field' => 'scale']);
        }
    }

    public static function from(Fields $f): self
    {
        $items = [];
        foreach ($f->list('items') as $item) {
            $kind = $item->string('kind');
            $scale = $item->number('scale');
            if (! in_array($kind, self::KINDS, true)) {
                throw Refusal::because(
                    'sheet.kind',
                    sprintf('A sheet holds elevations, plans, sections and schedules, no “%s”.', mb_substr($kind, 0, 30)),
                );
            }
            self::requireScale($scale);
            $items[] = [
                'kind' => $kind,
                'ref' => mb_substr($item->string('ref'), 0, 40),
                'scale' => $scale,
                'x' => $item->number('x'),
                'y' => $item->number('y'),
            ];
        }
        if (count($items) > self::MOST) {
            throw Refusal::because('sheet.too_many', sprintf('A sheet holds %d drawings at the most.', self::MOST));
        }
        $number = trim($f->string('number'));
        if ($number === '' || mb_strlen($number) > 16) {
            throw Refusal::because('sheet.number', 'A sheet has a number of 1 to 16 characters.', details: ['field' => 'number']);
        }

        return new self($f->string('id'), $f->name('name'), $number, $f->choice('paper', Paper::class), $items);
    }

    /** Its number is what no two have alike. */
    public function called(): string
    {
        return $this->number;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Sheet;
    }

    public function names(): array
    {
        return Naming::of(Tie::Lists, ...array_column($this->items, 'ref'));
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'number' => $this->number,
            'paper' => $this->paper->value,
            'items' => $this->items,
        ];
    }
}
