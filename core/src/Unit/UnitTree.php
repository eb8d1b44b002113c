<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** How a unit is made up: an outline, a frame, and a tree of divisions and lights. Sizes come from the opening it fills. */
final readonly class UnitTree
{
    private const DEEPEST = 20;

    /**
     * @param  bool  $toCentres  typed sizes of parts run between the unit's sides and the centre lines of dividers, so that they add up to
     *    its size; else they are clear
     * @param  float|null  $setback  its outer side behind the wall's outer face where it is placed, mm; null for what is usual in the wall
     * @param  array<string, string>  $finishes  {@see FinishPart} → a finish of the project
     * @param  array{minWidth?: float, maxWidth?: float, minHeight?: float, maxHeight?: float}  $limits  sizes it may be stretched to, mm
     */
    private function __construct(
        public UnitOutline $outline,
        public Frame $frame,
        public bool $toCentres,
        public ?float $setback,
        public array $finishes,
        public array $limits,
        public Node $root,
    ) {
    }

    public static function from(Fields $f): self
    {
        $finishes = [];
        foreach ($f->has('finishes') ? $f->array('finishes') : [] as $part => $finish) {
            if (FinishPart::tryFrom((string) $part) === null || ! is_string($finish)) {
                throw Refusal::because(
                    'unit.finish',
                    sprintf('“%s” is no part of a unit that takes a finish.', $part),
                    details: ['field' => 'finishes'],
                );
            }
            $finishes[(string) $part] = $finish;
        }
        ksort($finishes);
        $limits = [];
        $given = $f->has('limits') ? $f->fields('limits') : null;
        foreach (['minWidth', 'maxWidth', 'minHeight', 'maxHeight'] as $limit) {
            if ($given?->has($limit) === true) {
                $limits[$limit] = $given->size($limit, 'The least or greatest size of a unit');
            }
        }
        $measure = $f->string('measure', 'faces');
        if ($measure !== 'faces' && $measure !== 'centres') {
            throw Refusal::because('field.invalid', 'Sizes run between faces or to centres.', details: ['field' => 'measure']);
        }

        return new self(
            $f->has('outline') ? UnitOutline::from($f->fields('outline')) : UnitOutline::rectangle(),
            Frame::from($f->fields('frame')),
            $measure === 'centres',
            $f->has('setback') ? $f->length('setback') : null,
            $finishes,
            $limits,
            self::node($f->fields('root')),
        );
    }

    /** @param  int  $depth how many divisions it lies in */
    public static function node(Fields $f, int $depth = 0): Node
    {
        if ($depth > self::DEEPEST) {
            throw Refusal::because('unit.too_deep', sprintf('Divisions may lie %d deep at the most.', self::DEEPEST));
        }

        return $f->has('parts') ? Division::from($f, $depth) : Light::from($f);
    }

    public function hasDoor(): bool
    {
        foreach ($this->lights() as $light) {
            if ($light->operation->isDoor()) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, Light> by path */
    public function lights(): array
    {
        $lights = [];
        $walk = static function (Node $node, string $path) use (&$walk, &$lights): void {
            if ($node instanceof Light) {
                $lights[$path] = $node;
            } elseif ($node instanceof Division) {
                foreach ($node->parts as $i => $part) {
                    $walk($part->node, $path === '' ? (string) $i : "$path.$i");
                }
            }
        };
        $walk($this->root, '');

        return $lights;
    }

    /** A length in a sentence about a unit, which is said in the units of its project: {@see Length::said()}. */
    public static function mm(float $length): string
    {
        return Length::mark($length);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ($this->outline->kind !== OutlineKind::Rectangle ? ['outline' => $this->outline->toArray()] : [])
            + ['frame' => $this->frame->toArray()]
            + ($this->toCentres ? ['measure' => 'centres'] : [])
            + ($this->setback !== null ? ['setback' => $this->setback] : [])
            + ($this->finishes !== [] ? ['finishes' => $this->finishes] : [])
            + ($this->limits !== [] ? ['limits' => $this->limits] : [])
            + ['root' => $this->root->toArray()];
    }
}
