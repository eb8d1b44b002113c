<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Geometry\Tolerance;

/** Two openings that share some of the wall. */
final class Overlap implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        $active = [];
        foreach ($wall->placed as $p) {
            foreach ($active as $key => $other) {
                if ($other->right <= $p->left + Tolerance::LENGTH) {
                    unset($active[$key]);
                } elseif ($p->overlaps($other)) {
                    $findings[] = $this->finding($wall, $other, $p);
                }
            }
            $active[] = $p;
        }

        return $findings;
    }

    private function finding(WallInQuestion $wall, PlacedOpening $left, PlacedOpening $right): Finding
    {
        $across = min($left->right, $right->right) - max($left->left, $right->left);
        $up = min($left->head, $right->head) - max($left->sill, $right->sill);
        $apart = $left->right - $right->left;
        $remedy = $wall->moveAside($right, $apart) ?? $wall->moveAside($left, -$apart);

        return new Finding(
            'opening.overlap', $wall->body->host->id(), [$right->opening->id, $left->opening->id], $across,
            sprintf(
                '%s overlaps %s by %s across and %s up.',
                ucfirst($wall->label($right)),
                $wall->label($left),
                $wall->say($across),
                $wall->say($up),
            ),
            [max($left->left, $right->left) + $across / 2, max($left->sill, $right->sill) + $up / 2],
            $remedy,
        );
    }
}
