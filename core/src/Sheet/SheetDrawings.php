<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\SectionLine;
use Isleward\Core\Drawing\Bounds;
use Isleward\Core\Drawing\Drawing;
use Isleward\Core\Drawing\Elevation;
use Isleward\Core\Drawing\Fineness;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Plan;
use Isleward\Core\Drawing\Section;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\SquareOn;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Schedule\Report;

/** The drawings and schedules that a sheet's items stand for, with texts of 2.5 mm on paper (ISO 3098; from memory). */
final class SheetDrawings
{
    public const LETTERS = 2.5;

    /** An elevation that is seen square on is named by this and the bearing one looks from. */
    public const FROM = 'from:';

    /** @var array<string, Drawing> */
    private array $made = [];

    /** @var array<string, Report> each is taken off once, however often a sheet asks */
    private array $reports = [];

    /**
     * @param  array<string, Body>  $bodies
     * @param  list<Frontage>  $frontages
     * @param  \Closure(string): ?Report  $report  of a layout's id
     */
    public function __construct(
        public readonly Design $design,
        private readonly array $bodies,
        private readonly array $frontages,
        private readonly \Closure $report,
    ) {
    }

    /**
     * The same with schedules from elsewhere.
     *
     * @param  \Closure(string): ?Report  $report
     */
    public function withReport(\Closure $report): self
    {
        return new self($this->design, $this->bodies, $this->frontages, $report);
    }

    /** @throws Refusal when what it stands for is gone */
    public function drawing(string $kind, string $ref, float $scale): Drawing
    {
        return $this->made["$kind $ref $scale"] ??= Fineness::at($scale)->of(match ($kind) {
            'elevation' => str_starts_with($ref, self::FROM)
                ? SquareOn::of($this->design, $this->bodies, (float) substr($ref, strlen(self::FROM)), self::LETTERS * $scale)
                : $this->elevation($ref, self::LETTERS * $scale),
            'plan' => $this->plan($ref, $scale),
            default => Section::of($this->design, $this->bodies, $this->line($ref), self::LETTERS * $scale)[0],
        });
    }

    /** @throws Refusal when the layout is gone */
    public function report(string $ref): Report
    {
        return $this->reports[$ref] ??= ($this->report)($ref)
                    ?? throw Refusal::because('sheet.gone', 'This schedule’s layout is not in the project any more.');
    }

    public function title(string $kind, string $ref): string
    {
        return match ($kind) {
            'elevation' => match (true) {
                $ref === 'outside' => 'Elevations, unfolded',
                $ref === 'inside' => 'Inner walls',
                str_starts_with($ref, self::FROM) => SquareOn::title((float) substr($ref, strlen(self::FROM))),
                default => 'Elevation '.$this->frontage($ref)->name,
            },
            'plan' => $this->design->storeys->has($ref)
                            ? 'Plan '.$this->design->storeys->get($ref)->name
                            : throw Refusal::because('sheet.gone', 'This plan’s storey is not in the project any more.'),
            'section' => 'Section '.$this->line($ref)->name,
            default => $this->report($ref)->name,
        };
    }

    private function frontage(string $id): Frontage
    {
        foreach ($this->frontages as $frontage) {
            if ($frontage->id === $id) {
                return $frontage;
            }
        }
        throw Refusal::because('sheet.gone', 'This elevation’s walls are not in the project any more.');
    }

    private function line(string $id): SectionLine
    {
        $line = $this->design->kept[$id] ?? null;

        return $line instanceof SectionLine ? $line : throw Refusal::because('sheet.gone', 'This section is not in the project any more.');
    }

    private function elevation(string $ref, float $letters): Drawing
    {
        $shown = match ($ref) {
            'outside' => array_values(array_filter($this->frontages, static fn (Frontage $f): bool => ! $f->inner)),
            'inside' => array_values(array_filter($this->frontages, static fn (Frontage $f): bool => $f->inner)),
            default => [$this->frontage($ref)],
        };
        if ($shown === []) {
            throw Refusal::because('sheet.gone', $ref === 'inside' ? 'There are no inner walls.' : 'There are no walls yet.');
        }
        $drawing = Elevation::developed($this->design, $this->bodies, $shown, $letters);
        $marks = [];
        foreach ($drawing->placements as $p) {
            $opening = $this->design->opening($p->element);
            $marks[] = Shape::text(
                $p->x + $opening->width / 2,
                $p->y - $letters,
                $letters * 0.8,
                $opening->mark ?? ($opening->isBare() ? '' : $this->design->label($opening)),
            );
        }

        return new Drawing(
            $drawing->title,
            $drawing->bounds,
            [...$drawing->shapes, ...array_values(array_filter($marks, static fn (Shape $s): bool => $s->text !== ''))],
            $drawing->symbols,
            $drawing->placements,
        );
    }

    private function plan(string $storey, float $scale): Drawing
    {
        $letters = self::LETTERS * $scale;
        if (! $this->design->storeys->has($storey)) {
            throw Refusal::because('sheet.gone', 'This plan’s storey is not in the project any more.');
        }
        [$drawing, $openings] = Plan::of($this->design, $this->bodies, $storey, $letters * 0.8);
        $said = Fineness::at($scale)->hasFigures();
        $shapes = [...$drawing->shapes, ...array_values(array_filter(
            array_merge(...array_values($openings)), static fn (Shape $s): bool => $said || $s->kind !== 'text',
        ))];
        foreach ($this->design->kept as $kept) {
            if ($kept instanceof SectionLine) {
                $way = $kept->to->minus($kept->from)->unit();
                $seen = $way->rightHand()->times(-1.0);
                $shapes[] = Shape::line(Layer::Level, [$kept->from->x, $kept->from->y, $kept->to->x, $kept->to->y], true);
                foreach ([[$kept->from, 1.0], [$kept->to, -1.0]] as [$end, $in]) {
                    $tip = $end->plus($seen->times($letters * 3));
                    $back = $end->plus($way->times($in * $letters * 3));
                    $shapes[] = Shape::line(Layer::Face, [$back->x, $back->y, $end->x, $end->y, $tip->x, $tip->y]);
                    $at = $end->minus($way->times($in * $letters * 1.6));
                    $shapes[] = Shape::text($at->x, $at->y, $letters * 1.2, $kept->name);
                }
            }
        }

        return new Drawing($drawing->title, Bounds::of($shapes, $letters), $shapes);
    }
}
