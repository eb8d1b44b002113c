<?php

declare(strict_types=1);

namespace Isleward\Core\Exchange;

use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tracing\Vectors;

/**
 * Reads the lines of an SVG drawing (SVG 1.1): paths, basic shapes, references within the file and texts, with their transforms. It runs
 * nothing and looks nothing up: scripts, styles' images and references to outside are left out, and that is said; a file with entities of
 * its own is refused.
 */
final class SvgReader
{
    private const MOST = 1_600_000;

    private const DEEP = 40;

    /** Elements that are looked at, each time a reference leads to one anew. */
    private const VISITS = 400_000;

    /** Texts that are kept. */
    private const TEXTS = 20_000;

    /** How far out anything may lie, in its own units. */
    private const FAR = 1e9;

    private const NUMBER = '/[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?/';

    private const SKIPPED = [
        'defs',
        'symbol',
        'clippath',
        'mask',
        'pattern',
        'marker',
        'filter',
        'lineargradient',
        'radialgradient',
        'style',
        'title',
        'desc',
        'metadata',
    ];

    /** @var list<float> */
    private array $lines = [];

    /** @var list<float> */
    private array $curves = [];

    /** @var list<float> */
    private array $lettering = [];

    /** @var list<array{x: float, y: float, size: float, angle: float, text: string}> */
    private array $texts = [];

    /** @var array<string, int> */
    private array $left = [];

    /** @var array<string, \DOMElement> */
    private array $byId = [];

    private bool $letters = false;

    private float $step = 1.0;

    private int $visits = 0;

    private int $points = 0;

    private function __construct()
    {
    }

    /** @throws Refusal when it is no drawing that can be read */
    public static function read(string $content): Vectors
    {
        $content = XmlText::utf8($content, 'SVG');
        XmlText::requireModest($content, 'SVG');
        libxml_use_internal_errors(true);
        $document = new \DOMDocument;
        $root = $content !== ''
                    && $document->loadXML($content, LIBXML_NONET | LIBXML_COMPACT | LIBXML_PARSEHUGE) ? $document->documentElement : null;
        libxml_clear_errors();
        if ($root === null || strtolower($root->localName ?? '') !== 'svg') {
            throw Refusal::because('svg.unreadable', 'This is no SVG drawing, or it is damaged.');
        }

        return (new self)->drawing($root);
    }

    private function drawing(\DOMElement $root): Vectors
    {
        $this->note($root);
        [$width, $height] = [self::length($root->getAttribute('width')), self::length($root->getAttribute('height'))];
        preg_match_all(self::NUMBER, substr($root->getAttribute('viewBox'), 0, 400), $found);
        $box = array_map(floatval(...), $found[0]);
        if (count($box) === 4 && $box[2] > 0 && $box[3] > 0) {
            [$x, $y, $w, $h] = [$box[0], $box[1], $box[2], $box[3]];
            $width = $width > 0 ? $width : $w;
            $height = $height > 0 ? $height : $h;
            $scale = min($width / $w, $height / $h);
            $matrix = [$scale, 0.0, 0.0, $scale, -$x * $scale + ($width - $w * $scale) / 2, -$y * $scale + ($height - $h * $scale) / 2];
        } else {
            $matrix = [1.0, 0.0, 0.0, 1.0, 0.0, 0.0];
        }
        if (! is_finite($width) || ! is_finite($height) || max($width, $height) > self::FAR) {
            throw Refusal::because('svg.range', 'This SVG says that it is larger than any drawing. It was not read.');
        }
        if ($width <= 0 || $height <= 0) {
            throw Refusal::because('svg.no_size', 'This SVG says neither its size nor its viewBox, so it cannot be laid down.');
        }
        $this->step = max($width, $height) / 1500;
        // y up from the lower left corner
        $this->children($root, SvgMatrix::times([1.0, 0.0, 0.0, -1.0, 0.0, $height], $matrix), 0);
        if ($this->lines === [] && $this->curves === [] && $this->texts === [] && $this->lettering === []) {
            throw Refusal::because(
                'svg.empty',
                'There are no lines in this SVG'.(isset($this->left['picture'])
                                    ? ', only pictures: lay the picture itself down as PNG or JPEG.'
                                    : '.'),
            );
        }
        $notes = [];
        foreach ($this->left as $what => $n) {
            $notes[] = sprintf('Left out: %d %s%s.', $n, $what, $n === 1 ? '' : 's');
        }

        return new Vectors($width, $height, $this->lines, $this->curves, $this->lettering, $this->texts, $notes);
    }

    /** Which element has which id; of several with one, the first. */
    private function note(\DOMElement $e): void
    {
        if ($e->hasAttribute('id')) {
            $this->byId[$e->getAttribute('id')] ??= $e;
        }
        for ($child = $e->firstElementChild; $child !== null; $child = $child->nextElementSibling) {
            $this->note($child);
        }
    }

    /** @param  array{float, float, float, float, float, float}  $matrix */
    private function children(\DOMElement $parent, array $matrix, int $depth): void
    {
        if ($depth > self::DEEP) {
            throw Refusal::because('svg.too_deep', sprintf('Parts of this SVG lie within each other more than %d deep.', self::DEEP));
        }
        for ($child = $parent->firstElementChild; $child !== null; $child = $child->nextElementSibling) {
            $this->element($child, $matrix, $depth);
        }
    }

    /** @param  array{float, float, float, float, float, float}  $matrix */
    private function element(\DOMElement $e, array $matrix, int $depth): void
    {
        if (++$this->visits > self::VISITS) {
            throw Refusal::because(
                'svg.too_much',
                sprintf(
                    'With all that it repeats, this drawing has more than %d parts. Lay down a part of it, or a picture.',
                    self::VISITS,
                ),
            );
        }
        $name = strtolower($e->localName ?? '');
        if ($name === 'script' || $name === 'foreignobject') {
            $this->left[$name === 'script'
                            ? 'script'
                            : 'foreign part'] = ($this->left[$name === 'script' ? 'script' : 'foreign part'] ?? 0) + 1;

            return;
        }
        foreach ($e->attributes ?? [] as $attribute) {
            if (str_starts_with(strtolower($attribute->name), 'on')) {
                $this->left['script'] = ($this->left['script'] ?? 0) + 1;
            }
        }
        if (in_array($name, self::SKIPPED, true) || $e->getAttribute('display') === 'none' || preg_match(
            '/display\s*:\s*none|visibility\s*:\s*hidden/',
            $e->getAttribute('style'),
        ) === 1) {
            return;
        }
        $matrix = $e->hasAttribute('transform') ? SvgMatrix::times($matrix, SvgMatrix::of($e->getAttribute('transform'))) : $matrix;
        $n = static fn (string $a): float => self::length($e->getAttribute($a));
        match ($name) {
            'g', 'a', 'svg', 'switch' => $this->children($e, $matrix, $depth + 1),
            'path' => $this->path($e->getAttribute('d'), $matrix),
            'line' => $this->add([[$n('x1'), $n('y1')], [$n('x2'), $n('y2')]], $matrix, false),
            'rect' => $n('width') > 0 && $n('height') > 0 ? $this->add(
                [
                    [$n('x'), $n('y')],
                    [$n('x') + $n('width'), $n('y')],
                    [$n('x') + $n('width'), $n('y') + $n('height')],
                    [$n('x'), $n('y') + $n('height')],
                    [$n('x'), $n('y')],
                ],
                $matrix,
                false,
            ) : null,
            'polyline', 'polygon' => $this->points($e->getAttribute('points'), $name === 'polygon', $matrix),
            'circle' => $this->ellipse($n('cx'), $n('cy'), $n('r'), $n('r'), $matrix),
            'ellipse' => $this->ellipse($n('cx'), $n('cy'), $n('rx'), $n('ry'), $matrix),
            'use' => $this->referred($e, $matrix, $depth),
            'text' => $this->text($e, $matrix),
            'image' => $this->left['picture'] = ($this->left['picture'] ?? 0) + 1,
            default => null,
        };
    }

    /** @param  array{float, float, float, float, float, float}  $matrix */
    private function referred(\DOMElement $e, array $matrix, int $depth): void
    {
        $href = $e->getAttribute('href') !== '' ? $e->getAttribute('href') : $e->getAttributeNS('http://www.w3.org/1999/xlink', 'href');
        if (! str_starts_with($href, '#')) {
            $this->left['reference to outside'] = ($this->left['reference to outside'] ?? 0) + 1;

            return;
        }
        $target = $this->byId[substr($href, 1)] ?? null;
        if ($target === null) {
            return;
        }
        $was = $this->letters;
        $this->letters = $was || str_starts_with(substr($href, 1), 'glyph');
        $matrix = SvgMatrix::times($matrix, [1.0, 0.0, 0.0, 1.0, self::length($e->getAttribute('x')), self::length($e->getAttribute('y'))]);
        if (in_array(strtolower($target->localName ?? ''), ['symbol', 'svg'], true)) {
            $this->children($target, $matrix, $depth + 1);
        } else {
            $this->requireShallow($depth);
            $this->element($target, $matrix, $depth + 1);
        }
        $this->letters = $was;
    }

    private function requireShallow(int $depth): void
    {
        if ($depth > self::DEEP) {
            throw Refusal::because('svg.too_deep', 'A part of this SVG refers to itself.');
        }
    }

    /** @param  array{float, float, float, float, float, float}  $m */
    private function text(\DOMElement $e, array $m): void
    {
        $size = self::length($e->getAttribute('font-size'));
        if ($size <= 0 && preg_match('/font-size\s*:\s*([\d.]+)/', $e->getAttribute('style'), $found) === 1) {
            $size = (float) $found[1];
        }
        $size = $size > 0 ? $size : 12.0;
        $text = trim((string) preg_replace('/\s+/u', ' ', $e->textContent));
        if ($text !== '' && count($this->texts) >= self::TEXTS) {
            $this->left['text'] = ($this->left['text'] ?? 0) + 1;
        } elseif ($text !== '') {
            [$x, $y] = SvgMatrix::apply($m, self::length($e->getAttribute('x')), self::length($e->getAttribute('y')));
            if (! (abs($x) < self::FAR && abs($y) < self::FAR && $size * hypot($m[2], $m[3]) < self::FAR)) {
                throw Refusal::because('svg.range', 'A text of this drawing lies farther out than any drawing is large. It was not read.');
            }
            $this->texts[] = [
                'x' => $x,
                'y' => $y,
                'size' => $size * hypot($m[2], $m[3]),
                'angle' => rad2deg(atan2($m[1], $m[0])),
                'text' => mb_substr($text, 0, 200),
            ];
        }
    }

    /** @param  array{float, float, float, float, float, float}  $matrix */
    private function points(string $points, bool $closed, array $matrix): void
    {
        if (strlen($points) > 8 * self::MOST) {
            throw $this->tooMuch();
        }
        preg_match_all(self::NUMBER, $points, $m);
        $at = array_map(static fn (array $p): array => [(float) $p[0], (float) ($p[1] ?? 0.0)], array_chunk($m[0], 2));
        if (count($at) > 1) {
            $this->add($closed ? [...$at, $at[0]] : $at, $matrix, false);
        }
    }

    /** @param  array{float, float, float, float, float, float}  $matrix */
    private function ellipse(float $cx, float $cy, float $rx, float $ry, array $matrix): void
    {
        $at = [];
        for ($i = 0; $i <= 32; $i++) {
            $at[] = [$cx + $rx * cos($i * M_PI / 16), $cy + $ry * sin($i * M_PI / 16)];
        }
        $this->add($at, $matrix, true);
    }

    /** @param  array{float, float, float, float, float, float}  $matrix */
    private function path(string $d, array $matrix): void
    {
        foreach (SvgPathReader::pieces($d, $this->step / max(1e-9, hypot($matrix[0], $matrix[1]))) as [$points, $curved]) {
            $this->add($points, $matrix, $curved);
        }
    }

    /**
     * @param  list<array{float, float}>  $points
     * @param  array{float, float, float, float, float, float}  $m
     */
    private function add(array $points, array $m, bool $curved): void
    {
        // also such as lie on each other and make no line
        $this->points += count($points);
        if ($this->points > self::MOST) {
            throw $this->tooMuch();
        }
        $out = [];
        $was = null;
        foreach ($points as [$x, $y]) {
            $at = [$m[0] * $x + $m[2] * $y + $m[4], $m[1] * $x + $m[3] * $y + $m[5]];
            if (! (abs($at[0]) < self::FAR && abs($at[1]) < self::FAR)) {
                throw Refusal::because('svg.range', 'A line of this drawing lies farther out than any drawing is large. It was not read.');
            }
            if ($was !== null && (abs($at[0] - $was[0]) > 1e-6 || abs($at[1] - $was[1]) > 1e-6)) {
                $out[] = round($was[0], 4);
                $out[] = round($was[1], 4);
                $out[] = round($at[0], 4);
                $out[] = round($at[1], 4);
            }
            $was = $at;
        }
        if ($this->letters) {
            array_push($this->lettering, ...$out);
        } elseif ($curved) {
            array_push($this->curves, ...$out);
        } else {
            array_push($this->lines, ...$out);
        }
        if (count($this->lines) + count($this->curves) + count($this->lettering) > self::MOST) {
            throw $this->tooMuch();
        }
    }

    private function tooMuch(): Refusal
    {
        return Refusal::because(
            'svg.too_much',
            sprintf('There are more than %d lines in this drawing. Lay down a part of it, or a picture.', intdiv(self::MOST, 4)),
        );
    }

    /** A length in px of 1/96 inch. */
    private static function length(string $text): float
    {
        if (preg_match('/^\s*(-?[\d.]+(?:e-?\d+)?)\s*(mm|cm|in|pt|pc|px|%)?/i', $text, $m) !== 1) {
            return 0.0;
        }

        return (float) $m[1] * match (strtolower($m[2] ?? '')) {
            'mm' => 96 / 25.4, 'cm' => 960 / 25.4, 'in' => 96.0, 'pt' => 96 / 72, 'pc' => 16.0, '%' => 0.0, default => 1.0
        };
    }
}
