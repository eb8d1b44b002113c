<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Outline;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\Storey;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Removes a storey with its openings and the walls that stand on it alone; walls that run on lose one storey. Refused
 * with what would go until "withContents" is true.
 */
final readonly class StoreyRemove implements Edit
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
        $storeys = $design->storeys;
        $storey = $storeys->get($this->id);
        if (count($storeys->all) === 1) {
            throw Refusal::because('storey.last', 'A building keeps one storey at least.', [$this->id]);
        }
        $at = $storeys->indexOf($this->id);
        $goneWalls = $moved = [];
        foreach ($design->walls as $wall) {
            if ($wall->base === $this->id && $wall->top === $this->id) {
                $goneWalls[$wall->id] = $wall;
            } elseif ($wall->base === $this->id) {
                $moved[] = [$wall, $wall->withBase($storeys->all[$at + 1]->id)];
            } elseif ($wall->top === $this->id) {
                $moved[] = [$wall, $wall->withTop($storeys->all[$at - 1]->id)];
            }
        }
        $goneOpenings = array_filter($design->openings, fn (Opening $o): bool => $o->storey === $this->id || isset($goneWalls[$o->host]));
        $outlines = OutlineRemove::emptied($design, $goneWalls);
        $layers = BandRules::on($design, $this->id, ...array_map(static fn (Outline $o): string => $o->id, $outlines));
        if (! $this->withContents && ($goneOpenings !== [] || $goneWalls !== [] || $layers !== [])) {
            throw Refusal::because('storey.carries', sprintf(
                '%s carries %s; they would go with it.', ucfirst($storey->said()),
                Words::counts(['opening' => count($goneOpenings), 'wall' => count($goneWalls), 'band' => count($layers)])),
                [...array_keys($goneOpenings), ...array_keys($goneWalls)],
                ['openings' => count($goneOpenings), 'walls' => count($goneWalls), 'bands' => count($layers)]);
        }
        $goneLines = array_filter($design->lines, fn (SettingOutLine $l): bool => $l->storey === $this->id || isset($goneWalls[$l->host]));
        $goneLayers = array_fill_keys(BandRules::ids($layers), true);
        $operations = References::letGo($design, $goneOpenings + $goneLines + $goneWalls + $goneLayers);
        foreach ($moved as [$wall, $after]) {
            $operations[] = Operation::alter($wall, $after);
        }
        $operations = WallEdges::released($design, $goneWalls + $goneLayers, $operations);
        foreach ([...$goneOpenings, ...$goneLines, ...$goneWalls, ...$layers, ...$outlines, $storey] as $gone) {
            $operations[] = Operation::remove($gone);
        }
        foreach ($storeys->all as $i => $other) {
            if ($i > $at) {
                $operations[] = Operation::alter($other, $other->withPosition($i - 1));
            }
        }

        return new Change(sprintf('Removed %s', $storey->said()), $operations);
    }
}
