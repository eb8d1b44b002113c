<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * Files made to be dear to read: small ones that grow, large ones of nothing, deep ones, such that hide what they are. Each with what reads
 * it.
 */
final class HostileFiles
{
    /** @return array<string, array{string, \Closure(): string}> name → the upload it goes to, and its content */
    public static function all(): array
    {
        $svg = static fn (
            string $body,
            string $defs = '',
        ): string => '<svg xmlns="http://www.w3.org/2000/svg" width="100" height="100">'.($defs === ''
                    ? ''
                    : "<defs>$defs</defs>").$body.'</svg>';

        return [
            'a workbook of a hundred merges of a million cells' => ['schedule', static fn (): string => self::workbook(
                '<row r="1"><c r="A1"><v>1</v></c></row>', str_repeat('<mergeCell ref="A1:ALL1000"/>', 100))],
            'a workbook of two cells far apart on forty sheets' => [
                'schedule',
                static fn (): string => self::workbook(
                    '<row r="1"><c r="A1"><v>1</v></c></row><row r="9999"><c r="GR9999"><v>1</v></c></row>',
                    '',
                    40,
                ),
            ],
            'a workbook that unpacks to a gigabyte' => [
                'schedule',
                static fn (): string => self::workbook(
                    '<row r="1"><c t="inlineStr"><is><t>'.str_repeat('a', 50_000_000).'</t></is></c></row>',
                    '',
                    1,
                ),
            ],
            'a workbook of an entity in UTF-16' => [
                'schedule', static fn (): string => self::workbook('<row r="1"><c><v>&a;</v></c></row>', '', 1, true),
            ],
            'references ten deep, ten times each' => ['tracing', static function () use ($svg): string {
                $defs = '<g id="l0"><line x2="9" y2="9"/></g>';
                for ($i = 1; $i <= 10; $i++) {
                    $defs .= "<g id=\"l$i\">".str_repeat('<use href="#l'.($i - 1).'"/>', 10).'</g>';
                }

                return $svg('<use href="#l10"/>', $defs);
            }],
            'a group within a group, 300 000 deep' => [
                'tracing',
                static fn (): string => $svg(str_repeat('<g>', 300_000).'<line x2="9"/>'.str_repeat('</g>', 300_000)),
            ],
            '300 000 groups beside each other' => [
                'tracing', static fn (): string => $svg(str_repeat('<g id="a"/>', 300_000).'<line x2="9"/>'),
            ],
            'entities in UTF-16' => ['tracing', static function (): string {
                $entities = '<!ENTITY a0 "0123456789">';
                for ($i = 1; $i <= 9; $i++) {
                    $entities .= "<!ENTITY a$i \"".str_repeat('&a'.($i - 1).';', 10).'">';
                }

                return "\xFF\xFE".mb_convert_encoding(
                    '<?xml version="1.0" encoding="UTF-16"?><!DOCTYPE svg ['
                                            .$entities
                                            .']><svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><text>&a9;</text></svg>',
                    'UTF-16LE',
                    'UTF-8',
                );
            }],
            'a path of nineteen megabytes' => [
                'tracing', static fn (): string => $svg('<path d="M0 0'.str_repeat(' 1 1', 4_750_000).'"/>'),
            ],
            'numbers past all bounds' => ['tracing', static fn (): string => $svg('<line x2="1e308" transform="scale(1e308)"/>')],
            'five million points' => ['tracing', static fn (): string => $svg('<polyline points="'.str_repeat('1 2 ', 5_000_000).'"/>')],
            'a page of forms that multiply' => ['tracing', self::multiplyingPdf(...)],
            'twenty megabytes of commas' => ['schedule', static fn (): string => str_repeat(',', 20_000_000)],
            'twenty megabytes in one quoted cell' => ['schedule', static fn (): string => 'Mark,Width'."\n\"".str_repeat('x', 20_000_000)],
            'a picture of 39 million pixels' => ['tracing', static fn (): string => self::png(6500, 6000)],
            'a picture of 35 million pixels' => ['tracing', static fn (): string => self::png(5900, 5900)],
            'a picture that says it is far larger than it is' => [
                'tracing', static fn (): string => substr_replace(self::png(4, 4), pack('NN', 5999, 5999), 16, 8),
            ],
            'nothing' => ['tracing', static fn (): string => ''],
        ];
    }

    private static function workbook(string $rows, string $merges, int $sheets = 1, bool $entity = false): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'hostile');
        $zip = new \ZipArchive;
        $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        $list = $rels = '';
        for ($i = 1; $i <= $sheets; $i++) {
            $list .= "<sheet name=\"S$i\" sheetId=\"$i\" r:id=\"r$i\"/>";
            $rels .= "<Relationship Id=\"r$i\" Target=\"worksheets/sheet$i.xml\"/>";
            $sheet = '<worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData>'.$rows.'</sheetData>'.(
                $merges === ''
                            ? ''
                            : "<mergeCells>$merges</mergeCells>").'</worksheet>';
            $zip->addFromString("xl/worksheets/sheet$i.xml", $entity
                ? "\xFF\xFE".mb_convert_encoding(
                    '<?xml version="1.0" encoding="UTF-16"?><!DOCTYPE worksheet [<!ENTITY a "7">]>'.$sheet,
                    'UTF-16LE',
                    'UTF-8',
                ) : $sheet);
        }
        $zip->addFromString(
            'xl/workbook.xml',
            '<workbook xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets>'
                            .$list
                            .'</sheets></workbook>',
        );
        $zip->addFromString(
            'xl/_rels/workbook.xml.rels',
            '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">'.$rels.'</Relationships>',
        );
        $zip->close();
        $content = (string) file_get_contents($path);
        unlink($path);

        return $content;
    }

    /** Each form draws the one before it ten times, nine deep, the first a hundred lines. */
    private static function multiplyingPdf(): string
    {
        $objects = [
            '<</Type/Catalog/Pages 2 0 R>>', '<</Type/Pages/Kids[3 0 R]/Count 1>>',
            '<</Type/Page/Parent 2 0 R/MediaBox[0 0 500 500]/Contents 4 0 R/Resources<</XObject<</F 13 0 R>>>>>>',
            self::stream('/F Do'),
        ];
        $objects[] = self::stream(str_repeat("0 0 m 400 400 l S\n", 100), '/Type/XObject/Subtype/Form/BBox[0 0 500 500]');
        for ($i = 6; $i <= 13; $i++) {
            $objects[] = self::stream(
                str_repeat("/F Do\n", 10),
                sprintf('/Type/XObject/Subtype/Form/BBox[0 0 500 500]/Resources<</XObject<</F %d 0 R>>>>', $i - 1),
            );
        }
        $pdf = "%PDF-1.4\n";
        $at = [];
        foreach ($objects as $i => $object) {
            $at[] = strlen($pdf);
            $pdf .= ($i + 1)." 0 obj\n$object\nendobj\n";
        }
        $start = strlen($pdf);
        $pdf .= sprintf("xref\n0 %d\n0000000000 65535 f \n", count($objects) + 1).implode(
            '',
            array_map(static fn (int $o): string => sprintf("%010d 00000 n \n", $o), $at),
        );

        return $pdf.sprintf("trailer<</Size %d/Root 1 0 R>>\nstartxref\n%d\n%%%%EOF", count($objects) + 1, $start);
    }

    private static function stream(string $content, string $entries = ''): string
    {
        return sprintf("<<%s/Length %d>>stream\n%s\nendstream", $entries, strlen($content), $content);
    }

    private static function png(int $width, int $height): string
    {
        // a few lines of noise again and again: dear to pack, quick to make here
        $raw = '';
        mt_srand(7);
        $line = "\0".implode('', array_map(static fn (): string => chr(mt_rand(0, 255)), range(1, $width * 3)));
        $deflate = deflate_init(ZLIB_ENCODING_DEFLATE, ['level' => 1]);
        for ($y = 0; $y < $height; $y++) {
            $raw .= deflate_add($deflate, $line, ZLIB_NO_FLUSH);
        }
        $raw .= deflate_add($deflate, '', ZLIB_FINISH);
        $chunk = static fn (string $type, string $data): string => pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));

        return "\x89PNG\r\n\x1a\n".$chunk('IHDR', pack('NNC5', $width, $height, 8, 2, 0, 0, 0)).$chunk('IDAT', $raw).$chunk('IEND', '');
    }
}
