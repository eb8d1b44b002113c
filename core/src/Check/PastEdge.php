<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Tolerance;
use Isleward\Core\Wall\PlacedOpening;

/** An opening that runs past an end, the head or the foot of its wall, or lies off it altogether. */
final class PastEdge implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        $body = $wall->body;
        foreach ($wall->placed as $p) {
            if ($p->isOff($body)) {
                $findings[] = $this->finding($wall, $p, 'opening.off_wall', 0.0, 'lies wholly off its wall, so nothing is cut', null);

                continue;
            }
            $past = [
                [-$p->left, 'the left end of the wall', $wall->moveAside($p, $wall->margin(false) - $p->left)],
                [$p->right - $body->length, 'the right end of the wall', $wall->moveAside($p, $body->length - $wall->margin(true) - $p->right)],
                [$p->head - $body->head, 'the wall’s head', $this->moveUp($wall, $p, $body->head - $p->head)],
                [$body->foot - $p->sill, 'the wall’s foot', $this->moveUp($wall, $p, $body->foot - $p->sill)],
            ];
            foreach ($past as [$by, $edge, $remedy]) {
                if ($by > Tolerance::LENGTH) {
                    $findings[] = $this->finding($wall, $p, 'opening.past_edge', $by, sprintf('runs %s past %s', $wall->say($by), $edge), $remedy);
                }
            }
        }

        return $findings;
    }

    private function moveUp(WallInQuestion $wall, PlacedOpening $p, float $by): ?Remedy
    {
        $fits = $p->sill + $by >= $wall->body->foot - Tolerance::LENGTH && $p->head + $by <= $wall->body->head + Tolerance::LENGTH;

        return $fits ? new Remedy(
            sprintf('Move %s %s', $wall->say($by), $by > 0 ? 'up' : 'down'),
            'opening.change', ['id' => $p->opening->id, 'by' => ['v' => $by]],
        ) : null;
    }

    private function finding(WallInQuestion $wall, PlacedOpening $p, string $rule, float $figure, string $what, ?Remedy $remedy): Finding
    {
        return new Finding($rule, $wall->body->wall->id, [$p->opening->id], $figure, sprintf('%s %s.', ucfirst($wall->label($p)), $what), [($p->left + $p->right) / 2, ($p->sill + $p->head) / 2], $remedy);
    }
}
