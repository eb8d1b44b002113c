<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Geometry\Tolerance;

/** An opening that runs past an end, the head or the foot of its wall, or lies off it altogether. */
final class PastEdge implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        $body = $wall->body;
        foreach ($wall->asked as $p) {
            if ($p->isOff($body)) {
                $findings[] = $wall->finding('opening.off_wall', $p, 0.0, 'lies wholly off its wall, so nothing is cut', null);

                continue;
            }
            $past = [
                [
                    'the left end of the wall', $body->start() - $p->left,
                    static fn (): ?Remedy => $wall->moveAside($p, $wall->clearJamb($p, false) - $p->left),
                ],
                [
                    'the right end of the wall', $p->right - $body->end(),
                    static fn (): ?Remedy => $wall->moveAside($p, $wall->clearJamb($p, true) - $p->right),
                ],
                self::upDown($wall, $p, 'the wall’s head', $p->pastHead($body), -1.0),
                self::upDown($wall, $p, 'the wall’s foot', $p->pastFoot($body), 1.0),
            ];
            foreach ($past as [$edge, $by, $remedy]) {
                if ($by > Tolerance::LENGTH) {
                    $findings[] = $wall->finding(
                        'opening.past_edge',
                        $p,
                        $by,
                        sprintf('runs %s past %s', $wall->say($by), $edge),
                        $remedy(),
                    );
                }
            }
        }

        return $findings;
    }

    /** @return array{string, float, \Closure(): ?Remedy} */
    private static function upDown(WallInQuestion $wall, PlacedOpening $p, string $edge, float $by, float $way): array
    {
        return [$edge, $by, static fn (): ?Remedy => $wall->moveUp($p, $way * $by)];
    }
}
