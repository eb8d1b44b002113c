<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Exchange;

use Isleward\Core\Exchange\SvgPathReader;
use Isleward\Core\Exchange\XmlText;
use Isleward\Core\Measure\Refusal;
use PHPUnit\Framework\TestCase;

final class XmlTextTest extends TestCase
{
    public function test_the_encoding_is_decided_before_anything_is_looked_for(): void
    {
        // XML 1.0 (fifth edition), appendix F: by the mark, by how the first bracket is written, by what is declared (from memory)
        $plain = '<a>ü€</a>';
        foreach ([
            'UTF-16LE' => "\xFF\xFE", 'UTF-16BE' => "\xFE\xFF", 'UTF-32LE' => "\xFF\xFE\0\0",
            'UTF-32BE' => "\0\0\xFE\xFF", 'UTF-8' => "\xEF\xBB\xBF",
        ] as $encoding => $mark) {
            self::assertSame($plain, XmlText::utf8($mark.mb_convert_encoding($plain, $encoding, 'UTF-8'), 'file'), $encoding);
            self::assertSame($plain, XmlText::utf8(mb_convert_encoding($plain, $encoding, 'UTF-8'), 'file'), "$encoding without a mark");
            $hidden = $mark.mb_convert_encoding('<!DOCTYPE a [<!ENTITY b "c">]><a/>', $encoding, 'UTF-8');
            self::assertSame('svg.entities', self::refusal(static fn () => XmlText::utf8($hidden, 'file')), $encoding);
        }
        self::assertSame('<a>ü</a>', XmlText::utf8("<?xml version='1.0' encoding='windows-1252'?><a>\xFC</a>", 'file'));
        self::assertSame(
            'xml.encoding',
            self::refusal(static fn () => XmlText::utf8('<?xml version="1.0" encoding="EBCDIC-CP-US"?><a/>', 'file')),
        );
        self::assertSame(
            '<a/>',
            XmlText::utf8('<!DOCTYPE a PUBLIC "-//X//Y" "http://z.example/a.dtd"><a/>', 'file'),
            'a type without an inner part is no harm',
        );
    }

    public function test_depth_and_count_are_those_of_the_tree(): void
    {
        $fine = '<a b=">" c=\'/>\'><!-- <<<< --><![CDATA[ <x><x> ]]><?p <q> ?><d/><e f="g"/></a>';
        XmlText::requireModest(str_repeat('<s>', XmlText::DEEP - 1).$fine.str_repeat('</s>', XmlText::DEEP - 1), 'file');
        self::assertSame(
            'svg.too_deep',
            self::refusal(static fn () => XmlText::requireModest(str_repeat('<s>', XmlText::DEEP).'<a><b></b></a>', 'file')),
        );
        // beside each other they are not deep
        XmlText::requireModest('<r>'.str_repeat('<s t="u"></s><v/>', 50_000).'</r>', 'file');
        self::assertSame(
            'svg.too_much',
            self::refusal(static fn () => XmlText::requireModest('<r>'.str_repeat('<s/>', XmlText::MOST).'</r>', 'file')),
        );
    }

    public function test_path_data_is_read_as_the_grammar_has_it(): void
    {
        // SVG 1.1, section 8.3.9: numbers need nothing between them where none is needed; flags are single figures (from memory)
        $ends = static fn (string $d): array => array_map(
            static fn (array $p): array => array_map(static fn (float $n): float => round($n, 6), $p[0][count($p[0]) - 1]),
            iterator_to_array(SvgPathReader::pieces($d, 1.0), false),
        );
        self::assertSame([[15.0, -17.0]], $ends('M10-20.5l.5e1,3.5'));
        self::assertSame([[0.5, 0.5], [1.5, 0.25]], $ends("M0 0\nL.5.5\t1.5.25"));
        self::assertSame([[10.0, 10.0]], $ends('M0,0a5 5 0 0110 10'));
        self::assertSame([[3.0, 4.0], [5.0, 6.0]], $ends('M1 2 3 4 5 6'), 'what follows a first point are lines');
        self::assertSame([[3.0, 0.0], [3.0, 4.0], [0.0, 0.0], [1.0, 1.0]], $ends('M0 0h3v4zl1 1'), 'after closing one is where it began');
        self::assertSame([[1.0, 1.0]], $ends('M0 0L1 1L2'), 'what breaks off ends it');
        self::assertSame([], $ends('M0 0 x 5 5'));
    }

    /** @param  \Closure(): mixed  $do */
    private static function refusal(\Closure $do): ?string
    {
        try {
            $do();
        } catch (Refusal $refusal) {
            return $refusal->reason;
        }

        return null;
    }
}
