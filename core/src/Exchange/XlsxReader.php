<?php

declare(strict_types=1);

namespace Isleward\Core\Exchange;

use Isleward\Core\Measure\Refusal;

/**
 * Reads the cells of an XLSX workbook (ECMA-376, Part 1: SpreadsheetML). A merged range gives its value to each cell it covers; a
 * formula gives the result that was saved with it. Nothing of the file is run or looked up elsewhere.
 */
final class XlsxReader
{
    /** What a workbook may unpack to, bytes. */
    private const MOST = 60_000_000;

    private const NS = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';

    /** @var list<string>|null */
    private ?array $strings = null;

    /** Cells met so far in the whole workbook, also those that merged ranges cover and the empty ones between. */
    private int $count = 0;

    private int $cut = 0;

    private function __construct(private readonly \ZipArchive $zip, private readonly string $path)
    {
    }

    /**
     * @return non-empty-list<Cells> by sheet
     *
     * @throws Refusal when it is no workbook that can be read
     */
    public static function read(string $path): array
    {
        $zip = new \ZipArchive;
        $start = (string) file_get_contents($path, length: 8);
        if ($start === "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1") {
            throw Refusal::because(
                'table.protected',
                'This workbook is protected by a password, or of the old XLS kind. Save it as XLSX without a password.',
            );
        }
        if ($zip->open($path, \ZipArchive::RDONLY) !== true) {
            throw Refusal::because('table.unreadable', 'This is no XLSX workbook, or it is damaged.');
        }
        try {
            return (new self($zip, $path))->sheets();
        } finally {
            $zip->close();
        }
    }

    /** @return non-empty-list<Cells> */
    private function sheets(): array
    {
        $unpacked = 0;
        for ($i = 0; $i < $this->zip->numFiles; $i++) {
            $stat = $this->zip->statIndex($i);
            $unpacked += $stat === false ? 0 : $stat['size'];
        }
        if ($unpacked > self::MOST || $this->zip->numFiles > 5000) {
            throw Refusal::because(
                'table.bomb',
                sprintf(
                    'This workbook would unpack to %d MB in %d parts, which no schedule does; it was not opened.',
                    (int) ceil($unpacked / 1e6),
                    $this->zip->numFiles,
                ),
            );
        }
        $targets = [];
        $rels = $this->xml('xl/_rels/workbook.xml.rels');
        while ($rels?->read() === true) {
            if ($rels->nodeType === \XMLReader::ELEMENT && $rels->localName === 'Relationship') {
                $target = (string) $rels->getAttribute('Target');
                $targets[(string) $rels->getAttribute('Id')] = str_starts_with($target, '/') ? substr($target, 1) : 'xl/'.$target;
            }
        }
        $book = $this->xml('xl/workbook.xml') ?? throw Refusal::because('table.unreadable', 'This archive holds no workbook.');
        $sheets = [];
        while ($book->read()) {
            if ($book->nodeType === \XMLReader::ELEMENT && $book->localName === 'sheet') {
                $path = $targets[(string) $book->getAttributeNs(
                    'id',
                    'http://schemas.openxmlformats.org/officeDocument/2006/relationships',
                )] ?? null;
                $reader = $path === null ? null : $this->xml($path);
                if ($reader !== null) {
                    $sheets[] = $this->cells((string) $book->getAttribute('name'), $reader);
                }
            }
        }

        return $sheets === [] ? throw Refusal::because('table.empty', 'This workbook has no sheet of cells.') : $sheets;
    }

    private function cells(string $name, \XMLReader $xml): Cells
    {
        $rows = $merged = $without = [];
        $formulas = 0;
        $r = $c = -1;
        while ($xml->read()) {
            if ($xml->nodeType !== \XMLReader::ELEMENT || $xml->namespaceURI !== self::NS) {
                continue;
            }
            if ($xml->localName === 'row') {
                $r = $xml->getAttribute('r') === null ? $r + 1 : (int) $xml->getAttribute('r') - 1;
                $c = -1;
                $this->count();
                if ($r >= Cells::MOST_ROWS) {
                    throw Refusal::because(
                        'table.too_long',
                        sprintf('Sheet “%s” has more than %d rows. A schedule of so many is read in parts.', $name, Cells::MOST_ROWS),
                    );
                }
            } elseif ($xml->localName === 'c') {
                [$c] = $xml->getAttribute('r') === null ? [$c + 1] : self::place($xml->getAttribute('r'));
                $this->count();
                [$value, $formula] = $this->value($xml);
                if ($formula) {
                    $formulas++;
                    if ($value === null) {
                        $without[] = Cells::ref($c, $r);
                    }
                }
                if ($value !== null && $c < Cells::MOST_COLUMNS) {
                    $rows[$r][$c] = $value;
                }
            } elseif ($xml->localName === 'mergeCell') {
                $this->count();
                $merged[] = (string) $xml->getAttribute('ref');
            }
        }
        self::requireSound($name);
        foreach ($merged as $range) {
            [$from, $to] = [...explode(':', $range), ''];
            [$c0, $r0] = self::place($from);
            [$c1, $r1] = self::place($to === '' ? $from : $to);
            if (! isset($rows[$r0][$c0])) {
                continue;
            }
            [$r1, $c1] = [min($r1, Cells::MOST_ROWS - 1), min($c1, Cells::MOST_COLUMNS - 1)];
            $this->count(max(0, $r1 - $r0 + 1) * max(0, $c1 - $c0 + 1));
            for ($i = $r0; $i <= $r1; $i++) {
                for ($j = $c0; $j <= $c1; $j++) {
                    $rows[$i][$j] = $rows[$r0][$c0];
                }
            }
        }
        $notes = array_values(array_filter([
            $merged === [] ? null : sprintf(
                '%d merged range%s: the value stands for every cell that it covers.',
                count($merged),
                count($merged) === 1 ? '' : 's',
            ),
            $formulas === 0 ? null : sprintf('%d formula%s: the result saved in the file is taken.', $formulas, $formulas === 1 ? '' : 's'),
            $without === [] ? null : sprintf(
                '%s no saved result and %s read as empty: open the file once in a spreadsheet and save it.',
                implode(
                    ', ',
                    array_slice($without, 0, 6),
                ).(count($without) > 6 ? ' and others have' : (count($without) === 1 ? ' has' : ' have')),
                count($without) === 1 ? 'is' : 'are',
            ),
        ], static fn (?string $n): bool => $n !== null));

        if ($this->cut > 0) {
            $notes[] = sprintf(
                '%d cell%s longer than %d letters: the rest is left out.',
                $this->cut,
                $this->cut === 1 ? ' is' : 's are',
                Cells::LONGEST,
            );
            $this->cut = 0;
        }

        return new Cells(mb_substr($name, 0, 80), $this->filled($rows), $notes);
    }

    /** @return array{string|float|null, bool} a cell's value, and whether a formula made it */
    private function value(\XMLReader $xml): array
    {
        $type = $xml->getAttribute('t') ?? 'n';
        if ($xml->isEmptyElement) {
            return [null, false];
        }
        $depth = $xml->depth;
        $text = null;
        $formula = false;
        while ($xml->read() && $xml->depth > $depth) {
            if ($xml->nodeType === \XMLReader::ELEMENT) {
                if ($xml->localName === 'f') {
                    $formula = true;
                } elseif ($xml->localName === 'v' || $xml->localName === 't') {
                    $text = ($text ?? '').$xml->readString();
                } elseif ($xml->localName === 'rPh') {
                    $xml->next();
                }
            }
        }

        if ($text !== null && strlen($text) > Cells::LONGEST && mb_strlen($text) > Cells::LONGEST) {
            $text = mb_substr($text, 0, Cells::LONGEST);
            $this->cut++;
        }

        return [match (true) {
            $text === null || $text === '' => null,
            $type === 's' => $this->string((int) $text),
            $type === 'n' => is_numeric($text) ? (float) $text : $text,
            $type === 'b' => $text === '1' ? 'yes' : 'no',
            $type === 'e' => null,
            default => $text,
        }, $formula];
    }

    private function string(int $i): string
    {
        if ($this->strings === null) {
            $this->strings = [];
            $xml = $this->xml('xl/sharedStrings.xml');
            while ($xml?->read() === true) {
                if ($xml->nodeType === \XMLReader::ELEMENT && $xml->localName === 'si') {
                    $depth = $xml->depth;
                    $text = '';
                    $empty = $xml->isEmptyElement;
                    while (! $empty && $xml->read() && $xml->depth > $depth) {
                        if ($xml->nodeType === \XMLReader::ELEMENT && $xml->localName === 't') {
                            $text .= $xml->readString();
                        }
                    }
                    $this->count();
                    $this->strings[] = mb_substr($text, 0, Cells::LONGEST);
                }
            }
            self::requireSound('sharedStrings');
        }

        return $this->strings[$i] ?? '';
    }

    /** Holds when what was read last came to its end and did not break off. */
    private static function requireSound(string $name): void
    {
        foreach (libxml_get_errors() as $error) {
            // 2: XML_ERR_NO_MEMORY, as which a text that is too long is told
            if ($error->level === LIBXML_ERR_FATAL || $error->code === 2) {
                throw Refusal::because(
                    'table.unreadable',
                    sprintf('“%s” of this workbook is damaged, or holds a text longer than any cell can.', $name),
                );
            }
        }
    }

    private function count(int $more = 1): void
    {
        $this->count += $more;
        if ($this->count > Cells::MOST_CELLS) {
            throw Cells::tooMany();
        }
    }

    /**
     * A part of the archive, when there is one, read as it is unpacked; refused when it declares a document type, through which entities
     * could come. Whatever its letters are written in, that is known before anything else of it is.
     */
    private function xml(string $name): ?\XMLReader
    {
        if ($this->zip->locateName($name) === false) {
            return null;
        }
        libxml_use_internal_errors(true);
        libxml_clear_errors();
        $open = fn (): \XMLReader => ($reader = @\XMLReader::open(
            'zip://'.$this->path.'#'.$name,
            null,
            LIBXML_NONET | LIBXML_COMPACT,
        )) instanceof \XMLReader ? $reader
            : throw Refusal::because('table.unreadable', sprintf('Part %s of this workbook is damaged.', $name));
        $start = $open();
        while (@$start->read() && $start->nodeType !== \XMLReader::ELEMENT) {
            if ($start->nodeType === \XMLReader::DOC_TYPE) {
                throw Refusal::because(
                    'table.entities',
                    sprintf('Part %s of this workbook declares a document type, which no spreadsheet writes; it was not opened.', $name),
                );
            }
        }
        $start->close();

        return $open();
    }

    /** @return array{int, int} column and row, from 0 */
    private static function place(string $ref): array
    {
        if (preg_match('/^\$?([A-Z]{1,3})\$?(\d{1,7})$/', $ref, $m) !== 1) {
            throw Refusal::because(
                'table.unreadable',
                sprintf('“%s” is no place of a cell; the workbook is damaged.', mb_substr($ref, 0, 20)),
            );
        }
        $column = 0;
        foreach (str_split($m[1]) as $letter) {
            $column = $column * 26 + ord($letter) - 64;
        }

        return [$column - 1, (int) $m[2] - 1];
    }

    /**
     * @param  array<int, array<int, string|float>>  $rows
     * @return list<list<string|float|null>>
     */
    private function filled(array $rows): array
    {
        $last = $rows === [] ? -1 : max(array_keys($rows));
        $width = 0;
        foreach ($rows as $row) {
            $width = max($width, 1 + max([-1, ...array_keys($row)]));
        }
        $this->count(max(0, ($last + 1) * $width - array_sum(array_map(count(...), $rows))));
        $out = [];
        for ($i = 0; $i <= $last; $i++) {
            $row = [];
            for ($j = 0; $j < $width; $j++) {
                $row[] = $rows[$i][$j] ?? null;
            }
            $out[] = $row;
        }

        return $out;
    }
}
