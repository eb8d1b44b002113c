<?php

declare(strict_types=1);

namespace Isleward\Core\Exchange;

use Isleward\Core\Measure\Refusal;

/**
 * XML of others as UTF-8, before anything is looked for in it: the encoding is decided first (XML 1.0, appendix F), so that nothing hides
 * behind another. What declares a document type with an inner part is refused: through entities it could grow without end.
 */
final class XmlText
{
    /** Parts within parts; deeper than anything that is drawn. */
    public const DEEP = 120;

    /** Elements in one file. */
    public const MOST = 400_000;

    private const READ = [
        'utf-8' => 'UTF-8', 'utf8' => 'UTF-8', 'us-ascii' => 'UTF-8', 'ascii' => 'UTF-8', 'iso-8859-1' => 'ISO-8859-1',
        'latin1' => 'ISO-8859-1', 'iso-8859-15' => 'ISO-8859-15',
        'windows-1252' => 'Windows-1252', 'cp1252' => 'Windows-1252'];

    /**
     * @param  string  $what  "SVG", for the sentences
     *
     * @throws Refusal
     */
    public static function utf8(string $content, string $what): string
    {
        $marks = [
            "\xEF\xBB\xBF" => 'UTF-8', "\xFF\xFE\0\0" => 'UTF-32LE', "\0\0\xFE\xFF" => 'UTF-32BE', "\xFF\xFE" => 'UTF-16LE',
            "\xFE\xFF" => 'UTF-16BE',
            "<\0\0\0" => 'UTF-32LE', "\0\0\0<" => 'UTF-32BE', "<\0" => 'UTF-16LE', "\0<" => 'UTF-16BE'];
        $encoding = null;
        foreach ($marks as $start => $of) {
            if (str_starts_with($content, $start)) {
                $encoding = $of;
                $content = $start[0] === '<' || str_ends_with($start, '<') ? $content : substr($content, strlen($start));
                break;
            }
        }
        if ($encoding === null) {
            $named = preg_match(
                '/^\s*<\?xml[^>]{0,200}?\sencoding\s*=\s*["\']([\w.-]{1,40})/i',
                substr($content, 0, 400),
                $m,
            ) === 1 ? strtolower($m[1]) : 'utf-8';
            $encoding = self::READ[$named] ?? throw Refusal::because(
                'xml.encoding',
                sprintf('This %s is written in “%s”, which is not read here. Save it as UTF-8.', $what, $named),
            );
        }
        $text = $encoding === 'UTF-8' ? $content : mb_convert_encoding($content, 'UTF-8', $encoding);
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw Refusal::because(
                'xml.encoding',
                sprintf('The letters of this %s are not %s, as it says. Save it as UTF-8.', $what, $encoding),
            );
        }
        // what it said of its encoding is no longer so
        $text = (string) preg_replace('/^\s*<\?xml[^>]*\?>/', '', $text, 1);
        if (preg_match('/<!ENTITY/i', $text) === 1) {
            throw Refusal::because(
                'svg.entities',
                sprintf(
                    'This %s declares entities of its own, through which it could grow without end or fetch other files. It was not read.',
                    $what,
                ),
            );
        }
        // a document type without an inner part, as many programs write it, is not needed
        $text = (string) preg_replace('/<!DOCTYPE[^>\[]*>/i', '', $text, 1);
        if (stripos($text, '<!DOCTYPE') !== false) {
            throw Refusal::because('svg.entities', sprintf('This %s declares a document type of its own. It was not read.', $what));
        }

        return $text;
    }

    /**
     * Holds when no tree of it would be deeper or larger than any drawing. Goes through it once from tag to tag, and makes nothing of it;
     * whether it is well formed is for the parser to find.
     */
    public static function requireModest(string $text, string $what): void
    {
        $count = $depth = 0;
        $at = 0;
        $skips = ['<!--' => '-->', '<![CDATA[' => ']]>', '<?' => '?>', '<!' => '>'];
        while (($at = strpos($text, '<', $at)) !== false) {
            foreach ($skips as $start => $end) {
                if (substr_compare($text, $start, $at, strlen($start)) === 0) {
                    $over = strpos($text, $end, $at + strlen($start));
                    $at = $over === false ? strlen($text) : $over + strlen($end);

                    continue 2;
                }
            }
            if (($text[$at + 1] ?? '') === '/') {
                $depth--;
                $at++;

                continue;
            }
            // to the end of the tag, which is not one within quotes
            for ($at++; ($char = $text[$at += strcspn($text, '"\'>', $at)] ?? '') === '"' || $char === "'"; $at++) {
                $over = strpos($text, $char, $at + 1);
                $at = $over === false ? strlen($text) : $over;
            }
            if (++$count > self::MOST) {
                throw Refusal::because(
                    'svg.too_much',
                    sprintf('This %s has more than %d parts. Lay down a part of it, or a picture.', $what, self::MOST),
                );
            }
            $depth = self::inside($depth, ($text[$at - 1] ?? '') === '/');
            if ($depth > self::DEEP) {
                throw Refusal::because(
                    'svg.too_deep',
                    sprintf('Parts of this %s lie within each other more than %d deep.', $what, self::DEEP),
                );
            }
        }
    }

    /** How deep one is after a tag that opens, or that is closed in itself. */
    private static function inside(int $depth, bool $closed): int
    {
        return $closed ? $depth : $depth + 1;
    }
}
