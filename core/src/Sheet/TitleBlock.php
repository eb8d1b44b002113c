<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

/**
 * The border of a sheet (ISO 5457: 20 mm to bind, 10 mm elsewhere; from memory) and the block at its lower right corner that says what it
 * is.
 */
final readonly class TitleBlock
{
    public const HEIGHT = 30.0;

    public const LEFT = 20.0;

    public const EDGE = 10.0;

    public function __construct(
        private string $project,
        private string $title,
        private string $scale,
        private string $units,
        private string $date,
        private string $sheet,
        private string $revision = '',
    ) {
    }

    public function draw(Page $page, float $width): void
    {
        $page->box(self::LEFT, self::EDGE, $page->width - self::LEFT - self::EDGE, $page->height - 2 * self::EDGE, 0.5);
        $x = $page->width - self::EDGE - $width;
        $y = $page->height - self::EDGE - self::HEIGHT;
        $page->box($x, $y, $width, self::HEIGHT, 0.35);
        $page->text($x + 2, $y + 4, 2.0, 'Project', faint: true);
        $page->text($x + 2, $y + 9, 3.6, $this->project, strong: true);
        $page->line($x, $y + 11.5, $x + $width, $y + 11.5);
        $page->text($x + 2, $y + 15, 2.0, 'Title', faint: true);
        $page->text($x + 2, $y + 19.5, 3.2, $this->title, strong: true);
        $page->line($x, $y + 21.5, $x + $width, $y + 21.5);
        foreach ([
            ['Scale', $this->scale],
            ['Lengths in', $this->units],
            ['Date', $this->date],
            ['Revision', $this->revision === '' ? '–' : $this->revision],
            ['Sheet', $this->sheet],
        ] as $i => [$name, $value]) {
            $at = $x + $width * [0.0, 0.17, 0.41, 0.65, 0.78][$i];
            if ($i > 0) {
                $page->line($at, $y + 21.5, $at, $y + self::HEIGHT);
            }
            $page->text($at + 2, $y + 24.5, 2.0, $name, faint: true);
            $page->text($at + 2, $y + 28.5, 2.8, $value);
        }
    }
}
