<?php

declare(strict_types=1);

namespace Isleward\Core\Exchange;

use Isleward\Core\Schedule\Table;

/**
 * Tables as an XLSX workbook (ECMA-376, Part 1: SpreadsheetML), one sheet each: numbers are numbers with as many decimals as their
 * column has, headings stand still while the rows are scrolled, texts are never formulas.
 */
final class XlsxWriter
{
    private const TYPES = 'http://schemas.openxmlformats.org/package/2006/content-types';

    private const RELS = 'http://schemas.openxmlformats.org/package/2006/relationships';

    private const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

    private const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';

    /** @param  non-empty-list<Table>  $tables */
    public static function write(array $tables): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'isleward-xlsx');
        try {
            $zip = new \ZipArchive;
            if ($zip->open($path, \ZipArchive::OVERWRITE) !== true) {
                throw new \RuntimeException("No workbook can be written at $path.");
            }
            $head = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>'."\n";
            $types = $sheets = $rels = '';
            $names = [];
            foreach ($tables as $i => $table) {
                $n = $i + 1;
                $types .= "<Override PartName=\"/xl/worksheets/sheet$n.xml\" ContentType=\"application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml\"/>";
                $sheets .= sprintf(
                    '<sheet name="%s" sheetId="%d" r:id="rId%d"/>',
                    self::escape(self::sheetName($table->name, $names)),
                    $n,
                    $n,
                );
                $rels .= sprintf('<Relationship Id="rId%d" Type="%s/worksheet" Target="worksheets/sheet%d.xml"/>', $n, self::OFFICE, $n);
                $zip->addFromString("xl/worksheets/sheet$n.xml", $head.self::sheet($table));
            }
            $zip->addFromString(
                '[Content_Types].xml',
                $head.sprintf(
                    '<Types xmlns="%s"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/><Override PartName="/xl/styles.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.styles+xml"/>%s</Types>',
                    self::TYPES,
                    $types,
                ),
            );
            $zip->addFromString(
                '_rels/.rels',
                $head.sprintf(
                    '<Relationships xmlns="%s"><Relationship Id="rId1" Type="%s/officeDocument" Target="xl/workbook.xml"/></Relationships>',
                    self::RELS,
                    self::OFFICE,
                ),
            );
            $zip->addFromString(
                'xl/workbook.xml',
                $head.sprintf('<workbook xmlns="%s" xmlns:r="%s"><sheets>%s</sheets></workbook>', self::MAIN, self::OFFICE, $sheets),
            );
            $zip->addFromString(
                'xl/_rels/workbook.xml.rels',
                $head.sprintf(
                    '<Relationships xmlns="%s">%s<Relationship Id="rId%d" Type="%s/styles" Target="styles.xml"/></Relationships>',
                    self::RELS,
                    $rels,
                    count($tables) + 1,
                    self::OFFICE,
                ),
            );
            $zip->addFromString('xl/styles.xml', $head.self::styles());
            $zip->close();

            return (string) file_get_contents($path);
        } finally {
            unlink($path);
        }
    }

    private static function sheet(Table $table): string
    {
        $widths = array_map(static fn (string $h): int => mb_strlen($h), $table->headings);
        foreach (array_slice($table->all(), 0, 500) as $row) {
            foreach ($row as $i => $value) {
                $widths[$i] = max(
                    $widths[$i] ?? 0,
                    is_float($value) ? strlen(Table::figure($value, $table->decimals[$i] ?? 3)) : mb_strlen((string) $value),
                );
            }
        }
        $columns = '';
        foreach ($widths as $i => $w) {
            $columns .= sprintf('<col min="%d" max="%d" width="%d" customWidth="1"/>', $i + 1, $i + 1, min(60, $w + 3));
        }
        $rows = self::row($table->headings, 0, [], true);
        foreach ($table->rows as $i => $row) {
            $rows .= self::row($row, $i + 1, $table->decimals, false);
        }
        if ($table->totals !== null) {
            $rows .= self::row($table->totals, count($table->rows) + 1, $table->decimals, true);
        }

        return sprintf(
            '<worksheet xmlns="%s"><sheetViews><sheetView workbookViewId="0"><pane ySplit="1" topLeftCell="A2" activePane="bottomLeft" state="frozen"/></sheetView></sheetViews><cols>%s</cols><sheetData>%s</sheetData></worksheet>',
            self::MAIN,
            $columns,
            $rows,
        );
    }

    /**
     * @param  list<string|float|int|null>  $row
     * @param  list<int|null>  $decimals
     */
    private static function row(array $row, int $r, array $decimals, bool $strong): string
    {
        $cells = '';
        foreach ($row as $c => $value) {
            if ($value === null || $value === '') {
                continue;
            }
            $ref = Cells::ref($c, $r);
            $style = (is_string($value) ? 0 : 1 + min(4, is_int($value) ? 0 : $decimals[$c] ?? 3)) + ($strong ? 6 : 0);
            $cells .= is_string($value)
                ? sprintf('<c r="%s" s="%d" t="inlineStr"><is><t xml:space="preserve">%s</t></is></c>', $ref, $style, self::escape($value))
                : sprintf(
                    '<c r="%s" s="%d"><v>%s</v></c>',
                    $ref,
                    $style,
                    is_int($value) ? (string) $value : (string) json_encode(round($value, 6)),
                );
        }

        return sprintf('<row r="%d">%s</row>', $r + 1, $cells);
    }

    /** Texts, then numbers of 0 to 4 decimals; the same again in bold. */
    private static function styles(): string
    {
        $formats = $styles = '';
        foreach ([0, 1, 2, 3, 4] as $n) {
            $formats .= sprintf(
                '<numFmt numFmtId="%d" formatCode="%s"/>',
                164 + $n,
                $n === 0 ? '0' : ($n === 1 ? '0.#' : '0.'.str_repeat('0', $n)),
            );
        }
        foreach ([0, 1] as $font) {
            $styles .= sprintf('<xf numFmtId="0" fontId="%d" fillId="0" borderId="0" xfId="0" applyFont="1"/>', $font);
            foreach ([0, 1, 2, 3, 4] as $n) {
                $styles .= sprintf(
                    '<xf numFmtId="%d" fontId="%d" fillId="0" borderId="0" xfId="0" applyNumberFormat="1" applyFont="1"/>',
                    $n === 1 ? 0 : 164 + $n,
                    $font,
                );
            }
        }

        return sprintf(
            '<styleSheet xmlns="%s"><numFmts count="5">%s</numFmts><fonts count="2"><font><sz val="11"/><name val="Archivo"/></font><font><b/><sz val="11"/><name val="Archivo"/></font></fonts><fills count="2"><fill><patternFill patternType="none"/></fill><fill><patternFill patternType="gray125"/></fill></fills><borders count="1"><border><left/><right/><top/><bottom/><diagonal/></border></borders><cellStyleXfs count="1"><xf numFmtId="0" fontId="0" fillId="0" borderId="0"/></cellStyleXfs><cellXfs count="12">%s</cellXfs></styleSheet>',
            self::MAIN,
            $formats,
            $styles,
        );
    }

    /**
     * Of 31 characters at the most, none of those that a sheet's name cannot have, and no name twice.
     *
     * @param  list<string>  $taken
     */
    private static function sheetName(string $name, array &$taken): string
    {
        $plain = trim(mb_substr((string) preg_replace('/[\[\]:*?\/\\\\\']+/u', ' ', $name), 0, 28));
        $plain = $plain === '' ? 'Schedule' : $plain;
        $unique = $plain;
        for ($n = 2; in_array(mb_strtolower($unique), $taken, true); $n++) {
            $unique = "$plain $n";
        }
        $taken[] = mb_strtolower($unique);

        return $unique;
    }

    private static function escape(string $text): string
    {
        return htmlspecialchars(
            (string) preg_replace('/[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u', '', $text),
            ENT_XML1 | ENT_QUOTES,
        );
    }
}
