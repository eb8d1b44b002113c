<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Fields;
use Isleward\Core\Given\Column;
use Isleward\Core\Refusal;

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
    private function __construct(public string $id, public string $name, public string $file, public int $sheet, public ?int $header, public array $columns)
    {
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
            self::file($f),
            $sheet,
            $header,
            array_map(Column::from(...), $f->list('columns')),
        );
    }

    /** The name of a stored file: a hash of its content, and its kind. */
    public static function file(Fields $f): string
    {
        $file = $f->string('file');

        return preg_match('/^[0-9a-f]{32}\.(json|png|jpg)$/', $file) === 1 ? $file : throw Refusal::because('file.unknown', 'That file is not here: read it in again.');
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

    public function toArray(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'file' => $this->file, 'sheet' => $this->sheet, 'header' => $this->header, 'columns' => array_map(static fn (Column $c): array => $c->toArray(), $this->columns)];
    }
}
