<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Length;
use Isleward\Core\Schedule\Contributor;
use Isleward\Core\Schedule\Field;
use Isleward\Core\Schedule\Measured;
use Isleward\Core\Schedule\Row;

/**
 * Every fin and tube of every band; alike ones have one mark, and a class of lengths 250 mm wide tells those apart that are nearly
 * alike.
 */
final class FinSchedule implements Contributor
{
    private const CLASS_WIDTH = 250.0;

    public function name(): string
    {
        return 'fins';
    }

    public function fields(Design $design): array
    {
        return [
            new Field('band', 'Band', Measured::Text), new Field('mark', 'Mark', Measured::Text),
            new Field('piece', 'Piece', Measured::Text),
            new Field('section', 'Section', Measured::Text), new Field('length', 'Cut length', Measured::Length),
            new Field('class', 'Length class', Measured::Text), new Field('count', 'Count', Measured::Count, true),
            new Field('total', 'Total length', Measured::Length, true), new Field('area', 'Area of sides', Measured::Area, true),
            new Field('volume', 'Volume', Measured::Volume, true), new Field('turn', 'Turn', Measured::Text),
            new Field('finish', 'Finish', Measured::Text), new Field('pinned', 'Pinned', Measured::Count, true),
            new Field('frontage', 'Frontage', Measured::Text), new Field('facing', 'Facing', Measured::Text),
            new Field('storey', 'Storey', Measured::Text),
        ];
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $rows = [];
        $finishes = array_column($design->settings->finishes, 'name', 'id');
        $units = $design->settings->units;
        foreach ($frontages as $frontage) {
            foreach (array_keys($frontage->walls) as $wall) {
                foreach (Bands::in($design)->before($wall) as [$fins, $pieces]) {
                    $band = $fins->band;
                    $marks = self::marks($design, $fins);
                    foreach ($pieces as $i) {
                        $posed = Posed::of($fins, $i);
                        $length = self::cutLength($posed);
                        $class = floor($length / self::CLASS_WIDTH + 1e-9) * self::CLASS_WIDTH;
                        $rows[] = new Row([$band->id], [
                            'band' => $band->name, 'mark' => $marks[$i], 'piece' => $band->shape->word(),
                            'section' => Length::said(self::section($fins, $i), $units), 'length' => round($length, 2),
                            'class' => sprintf('%s to %s', Length::format($class, $units),
                                Length::format($class + self::CLASS_WIDTH, $units)),
                            'count' => 1, 'total' => $length, 'area' => $posed->girth(), 'volume' => $posed->volume(),
                            'turn' => round($fins->turn[$i], 1).'°', 'finish' => $finishes[$band->finish ?? ''] ?? '',
                            'pinned' => isset($band->pinned[$fins->n[$i]]) ? 1 : 0, 'frontage' => $frontage->name,
                            'facing' => $frontage->facing(), 'storey' => $design->storeys->get($band->storey)->name,
                        ]);
                    }
                }
            }
        }

        return $rows;
    }

    /** How long the section is run, mm. */
    public static function cutLength(Posed $posed): float
    {
        return $posed->size[$posed->axis()];
    }

    /** "24 × 1 174", its lengths marked. */
    public static function section(Fins $fins, int $i): string
    {
        [$wide, $deep] = match ($fins->band->stand) {
            Stand::Reaching => [$fins->thickness[$i], $fins->length[$i]],
            default => [$fins->thickness[$i], $fins->reach[$i]],
        };

        return $fins->band->shape === SectionShape::Round
            ? 'Ø '.Length::mark($wide)
            : Length::mark($wide).' × '.Length::mark($deep);
    }

    /**
     * The mark of each piece: alike ones, to a tenth of a mm, have one: "B2-01", longest and deepest first.
     *
     * @return array<int, string>
     */
    public static function marks(Design $design, Fins $fins): array
    {
        $keys = $order = [];
        foreach ($fins->n as $i => $n) {
            $figures = [
                round($fins->length[$i], 1), round($fins->reach[$i], 1), round($fins->thickness[$i], 1),
            ];
            $keys[$i] = implode(' ', $figures);
            $order[$keys[$i]] = $figures;
        }
        arsort($order);
        $numbers = array_flip(array_keys($order));
        $prefix = 'B'.((int) array_search($fins->band->id, array_column(Bands::in($design)->all(), 'id'), true) + 1);

        return array_map(static fn (string $key): string => sprintf('%s-%02d', $prefix, $numbers[$key] + 1), $keys);
    }
}
