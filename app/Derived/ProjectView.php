<?php

declare(strict_types=1);

namespace App\Derived;

use App\Editing\History;
use App\Models\Project;
use App\Models\User;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kept;
use Isleward\Core\Design\Kinds;
use Isleward\Core\Design\Outline;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Drawing\Elevation;

/** The project's table of contents: settings, storeys with levels, walls, frontages, the rack, and what can be undone. */
final readonly class ProjectView
{
    public function __construct(private History $history)
    {
    }

    /** @return array<string, mixed> */
    public function of(Project $project, User $user, Structure $structure): array
    {
        $design = $structure->design();
        $frontages = $structure->frontages();
        $rows = [];
        foreach ([false, true] as $inner) {
            $group = array_values(array_filter($frontages, static fn (Frontage $f): bool => $f->inner === $inner));
            foreach (Elevation::offsets($group) as $i => $offset) {
                $f = $group[$i];
                $rows[] = [
                    'id' => $f->id, 'name' => $f->name, 'outline' => $f->outline, 'bearing' => round($f->bearing, 2),
                    'facing' => $f->facing(), 'width' => $f->width,
                    'foot' => $f->foot, 'head' => $f->head, 'offset' => $offset, 'folds' => $f->folds, 'walls' => $f->walls,
                    'inner' => $inner,
                ];
            }
        }

        return [
            'settings' => $design->settings->toArray(),
            'role' => $project->roleOf($user)?->value,
            'number' => $project->change_number,
            'undo' => $this->history->undoable($project, $user)?->summary,
            'redo' => $this->history->redoable($project, $user)?->summary,
            'storeys' => array_map(
                static fn ($s): array => [
                    ...$s->toArray(),
                    'floor' => $design->storeys->floor($s->id),
                    'ceiling' => $design->storeys->ceiling($s->id),
                ],
                $design->storeys->all,
            ),
            'outlines' => array_values(array_map(static fn (Outline $o): array => $o->toArray(), $design->outlines)),
            'walls' => array_map(
                static fn ($b): array => [
                    ...$b->wall->toArray(), 'length' => $b->length, 'start' => $b->start(), 'end' => $b->end(),
                    'innerStart' => $b->left->atDepth($b->wall->thickness), 'innerEnd' => $b->right->atDepth($b->wall->thickness),
                    'foot' => $b->foot, 'head' => $b->head,
                    'leftJoint' => $b->left->joint->value,
                    'rightJoint' => $b->right->joint->value], self::inOrder($design, $structure->bodies())),
            'frontages' => $rows,
            ...self::kept($structure),
            'types' => self::types($design, array_values($design->types)),
        ];
    }

    /** @return array<string, list<array<string, mixed>>> */
    private static function kept(Structure $structure): array
    {
        $all = [];
        foreach (Kinds::kept() as $kind) {
            $all[$kind->value.'s'] = array_map(static fn (Kept $k): array => $k->toArray(), $structure->keptOf($kind));
        }

        return $all;
    }

    /**
     * @param  array<string, Body>  $bodies
     * @return list<Body> outline by outline, each in the order of its chain
     */
    private static function inOrder(Design $design, array $bodies): array
    {
        $place = static fn (Body $b): array => [$design->outlines[$b->wall->outline]->position, $b->wall->position];
        $ordered = array_values($bodies);
        usort($ordered, static fn (Body $a, Body $b): int => $place($a) <=> $place($b));

        return $ordered;
    }

    /**
     * @param  list<UnitType>  $types
     * @return list<array<string, mixed>> what the rack finds them by; their drawings are asked for when they come into view
     */
    private static function types(Design $design, array $types): array
    {
        usort($types, static fn (UnitType $a, UnitType $b): int => $a->position <=> $b->position);

        return array_map(static function (UnitType $t) use ($design): array {
            $words = [];
            foreach ($t->tree()->lights() as $light) {
                $words[$light->glazing->solid && ! $light->operation->moves() ? 'solid infill' : $light->operation->label()] = true;
                if ($light->bars !== null) {
                    $words['bars'] = true;
                }
            }
            foreach ($t->tree()->finishes as $finish) {
                $words[mb_strtolower($design->settings->finish($finish)->name ?? $finish)] = true;
            }
            $outline = $t->tree()->outline;
            if ($t->shaped) {
                $words[$outline->form->value ?? $outline->kind->value] = true;
            }

            return [
                'id' => $t->id, 'mark' => $t->mark, 'name' => $t->name, 'width' => $t->width, 'height' => $t->height, 'sill' => $t->sill,
                'door' => $t->hasDoor, 'words' => array_keys($words), 'hash' => substr($t->treeHash, 0, 12)];
        }, $types);
    }
}
