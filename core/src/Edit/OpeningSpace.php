<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Arrange\Spacing;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Reference;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Spaces openings evenly, each storey of each wall on its own, from left to right as they stand: "between" the "outer" two,
 * the wall's "ends", or two upright "lines"; by equal "gaps" or equal "centres".
 */
final readonly class OpeningSpace implements Edit
{
    /** @param  list<string>  $ids */
    private function __construct(private array $ids, private string $between, private bool $centres, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $between = $args->string('between', 'outer');
        $by = $args->string('by', 'gaps');
        if (! in_array($between, ['outer', 'ends', 'lines'], true) || ! in_array($by, ['gaps', 'centres'], true)) {
            throw Refusal::because(
                'field.invalid',
                '“between” must be one of outer, ends, lines, and “by” one of gaps, centres.',
                details: ['field' => 'between'],
            );
        }

        return new self(Chosen::openings($args), $between, $by === 'centres', $args);
    }

    public function scope(): Scope
    {
        return Scope::around($this->ids);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $attempt = Attempt::from($design, $this->args);
        foreach (Chosen::byRow($design, $this->ids) as $row) {
            [$from, $to, $ends] = $this->stretch($design, $row);
            $widths = array_map(Places::in($design)->spanOf(...), $row);
            $spaced = $this->centres ? Spacing::equalCentres($widths, $from, $to, $ends) : Spacing::equalGaps($widths, $from, $to, $ends);
            if (! $this->centres && $spaced->gap < -0.01) {
                throw Refusal::because(
                    'arrange.no_room',
                    sprintf(
                        '%d openings are together %s wider than the stretch between: there is no room for them.',
                        count($row),
                        Words::length($design, array_sum($widths) - ($to - $from)),
                    ),
                    array_map(static fn (Opening $o): string => $o->id, $row));
            }
            $attempt->note(sprintf('%s of %s.', $this->centres ? 'Centres at a pitch' : 'Gaps', Words::length($design, $spaced->gap)));
            foreach ($row as $i => $opening) {
                $rule = Places::in($design)->positionAt(
                    $opening->position,
                    $design->host($opening->host),
                    $opening,
                    $spaced->starts[$i],
                );
                $attempt->alter($opening, $opening->withPosition($rule));
            }
        }

        return $attempt->change(static fn (int $n): string => sprintf('Spaced %s evenly', Words::counts(['opening' => $n])));
    }

    /**
     * @param  non-empty-list<Opening>  $row
     * @return array{float, float, bool} from, to, and whether the ends have gaps too
     */
    private function stretch(Design $design, array $row): array
    {
        $wall = $design->host($row[0]->host);
        if ($this->between === 'outer') {
            return [Places::in($design)->of($row[0])->left, Places::in($design)->of($row[count($row) - 1])->right, false];
        }
        if ($this->between === 'ends') {
            return [...Places::in($design)->span($wall), true];
        }
        $lines = $this->args->strings('lines');
        if (count($lines) !== 2) {
            throw Refusal::because('space.lines', 'Name the two upright lines to space between.');
        }
        $at = array_map(
            static fn (string $id): float => Places::in($design)->along(Along::of(Reference::Line, 0.0, $design->line($id)->id), $wall),
            $lines,
        );

        return [min($at), max($at), true];
    }
}
