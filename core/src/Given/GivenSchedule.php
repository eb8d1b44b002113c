<?php

declare(strict_types=1);

namespace Isleward\Core\Given;

use Isleward\Core\Design\Kept;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\StoredFile;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** A schedule of doors and windows that others gave: the file its cells are kept in, and how they are read. */
final readonly class GivenSchedule implements Kept
{
    private const MOST_SHEETS = 1000;

    private const MOST_ROWS = 10_000;

    /**
     * @param  string  $file  name of the stored cells
     * @param  int  $sheet  of the workbook, from 0
     * @param  int|null  $header  row with the headings, from 0
     * @param  list<Column>  $columns
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $file,
        public int $sheet,
        public ?int $header,
        public array $columns,
    ) {
    }

    public static function from(Fields $f): self
    {
        $sheet = $f->int('sheet');
        $header = $f->has('header') ? $f->int('header') : null;
        if ($sheet < 0 || $sheet > self::MOST_SHEETS) {
            throw Refusal::because('given.sheet', 'The workbook has no such sheet.', details: ['field' => 'sheet']);
        }
        if ($header !== null && ($header < 0 || $header > self::MOST_ROWS)) {
            throw Refusal::because('given.header', 'The sheet has no such row.', details: ['field' => 'header']);
        }

        return new self(
            $f->string('id'),
            $f->name('name'),
            StoredFile::named($f),
            $sheet,
            $header,
            array_map(Column::from(...), $f->list('columns')),
        );
    }

    public function called(): string
    {
        return $this->name;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Given;
    }

    public function names(): array
    {
        return [];
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'file' => $this->file,
            'sheet' => $this->sheet,
            'header' => $this->header,
            'columns' => array_map(static fn (Column $c): array => $c->toArray(), $this->columns),
        ];
    }
}
