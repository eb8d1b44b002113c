<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Layered;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Outline;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\Roof;

/** Removes an outline with its walls and their openings; refused with what would go until "withContents" is true. */
final readonly class OutlineRemove implements Edit
{
    private function __construct(private string $id, private bool $withContents)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->string('id'), $args->bool('withContents'));
    }

    public function scope(): Scope
    {
        return Scope::everything();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $outline = $design->outline($this->id);
        $walls = $design->wallsOf($this->id);
        $ofWalls = array_flip(array_map(static fn (Wall $w): string => $w->id, $walls));
        $openings = array_filter($design->openings, static fn (Opening $o): bool => isset($ofWalls[$o->host]));
        $layers = BandRules::on($design, $this->id);
        if (($openings !== [] || $layers !== []) && ! $this->withContents) {
            $counts = ['opening' => count($openings), 'band' => count($layers)];
            throw Refusal::because(
                'outline.carries',
                sprintf('%s carries %s; they would go with it.', $outline->name, Words::counts($counts)),
                array_keys($openings), ['openings' => count($openings), 'walls' => count($walls), 'bands' => count($layers)]);
        }

        $lines = array_filter($design->lines, static fn (SettingOutLine $l): bool => isset($ofWalls[$l->host]));

        $goneLayers = array_fill_keys(BandRules::ids($layers), true);

        return new Change(sprintf('Removed %s', $outline->name), [
            ...WallEdges::released(
                $design,
                $ofWalls + $goneLayers,
                References::letGo($design, $openings + $lines + $ofWalls + $goneLayers),
            ),
            ...self::uncovered($design, $this->id, $layers),
            ...array_map(Operation::remove(...), [...array_values($openings), ...array_values($lines), ...$layers, ...$walls, $outline]),
        ]);
    }

    /**
     * Roofs that lie over it besides another, or are cut round it: they are as if it had never been.
     *
     * @param  list<Layered>  $gone
     * @return list<Operation>
     */
    private static function uncovered(Design $design, string $outline, array $gone): array
    {
        $out = [];
        foreach ($design->layers as $roof) {
            if ($roof instanceof Roof && in_array($outline, [...$roof->also, ...$roof->through], true) && ! in_array($roof, $gone, true)) {
                $out[] = Operation::alter($roof, $roof->without($outline));
            }
        }

        return $out;
    }

    /**
     * The outlines that would have no wall left.
     *
     * @param  array<string, Wall>  $gone
     * @return list<Outline>
     */
    public static function emptied(Design $design, array $gone): array
    {
        return array_values(array_filter(
            $design->outlines,
            static fn (Outline $o): bool => array_filter(
                $design->wallsOf($o->id),
                static fn (Wall $w): bool => ! isset($gone[$w->id]),
            ) === [],
        ));
    }
}
