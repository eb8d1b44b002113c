<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\LeafSweep;
use Isleward\Core\Check\Remedy;
use Isleward\Core\Check\Rule;
use Isleward\Core\Check\WallInQuestion;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Overlay;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Measure\Length;

/** What is doubtful about screens: those that cannot stand or that nothing holds, idle cut-outs, openings they cover, leaves they stop. */
final class ScreenDoubts implements Rule
{
    public function check(WallInQuestion $wall): array
    {
        $findings = [];
        $screens = Screens::in($wall->design);
        foreach ($screens->all() as $screen) {
            if ($screens->home($screen) === $wall->body->host->id()) {
                array_push($findings, ...self::whole($wall, $screens, $screen));
            }
        }
        $faces = $wall->asked === [] ? [] : $screens->on($wall->body->host->id());
        foreach ($faces === [] ? [] : $wall->asked as $placed) {
            array_push($findings, ...self::covered($wall, $placed, $faces), ...self::struck($wall, $placed, $faces));
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function whole(WallInQuestion $wall, Screens $screens, Screen $screen): array
    {
        $why = $screens->why($screen);
        if ($why !== null) {
            return [self::about($wall, 'screen.cannot', $screen, 1.0, "$screen->name cannot stand as it is: $why")];
        }
        $findings = [];
        $stands = $screens->of($screen);
        if ($stands->idle !== []) {
            $findings[] = self::about($wall, 'screen.idle', $screen, (float) count($stands->idle), sprintf(
                'Of %s %s %s nothing of it: %s outside it, or where another has been taken already.', $screen->name,
                (count($stands->idle) === 1 ? 'number ' : 'numbers ').implode(', ', $stands->idle),
                count($stands->idle) === 1 ? 'takes' : 'take', count($stands->idle) === 1 ? 'it lies' : 'they lie',
            ), new Remedy('Forget them', 'screen.take-out', ['id' => $screen->id, 'parts' => $stands->idle]));
        }
        $returned = array_filter($stands->faces, static fn (ScreenFace $f): bool => $f->returns() !== []);
        $resting = array_filter($stands->faces, static fn (ScreenFace $f): bool => $screen->gap - $f->behind < 0.01);
        if ($returned === [] && $resting === []) {
            $findings[] = self::about($wall, 'screen.unheld', $screen, $screen->gap, sprintf(
                'Nothing is drawn that holds %s: it stands %s before its walls and touches them nowhere.', $screen->name,
                Length::mark($screen->gap),
            ), new Remedy('Close its edges back', 'screen.change', ['id' => $screen->id, 'edges' => true]));
        }

        return $findings;
    }

    /**
     * @param  list<ScreenFace>  $faces
     * @return list<Finding>
     */
    private static function covered(WallInQuestion $wall, PlacedOpening $placed, array $faces): array
    {
        $outline = $placed->outline?->shifted($placed->left, $placed->sill)
            ?? Contour::rectangle($placed->left, $placed->sill, $placed->right, $placed->head);
        $clear = [new Profile($outline)];
        $by = [];
        foreach ($faces as $face) {
            [$x0, $y0, $x1, $y1] = $face->bounds();
            if ($x1 <= $placed->left || $x0 >= $placed->right || $y1 <= $placed->sill || $y0 >= $placed->head) {
                continue;
            }
            $before = ScreenRegion::area($clear);
            $clear = Overlay::difference($clear, $face->region);
            if (ScreenRegion::area($clear) < $before - 1.0) {
                $by[] = $face->screen->name;
            }
        }
        $share = 1.0 - ScreenRegion::area($clear) / $outline->area();

        $limit = $wall->design->settings->layerRules->covered;

        return $by === [] || $share < $limit ? [] : [$wall->finding('layer.covers', $placed, $share, sprintf(
            'is covered by %s: %d %% of it as it is seen square on', implode(' and ', $by), (int) round($share * 100),
        ), null)];
    }

    /**
     * @param  list<ScreenFace>  $faces
     * @return list<Finding> leaves that strike a screen before they stand open
     */
    private static function struck(WallInQuestion $wall, PlacedOpening $placed, array $faces): array
    {
        $worst = null;
        foreach (LeafSweep::all($wall, $placed) as $sweep) {
            foreach ($faces as $face) {
                foreach (ScreenRegion::spans($face->sheet(), false, ($sweep->foot + $sweep->head) / 2) as [$from, $to]) {
                    $ring = [];
                    [$near, $far] = [$face->screen->gap, $face->screen->front()];
                    foreach ([[$from, $near], [$to, $near], [$to, $far], [$from, $far]] as [$u, $out]) {
                        $at = $face->surface->inPlan($u, -$out);
                        array_push($ring, $at->x, $at->y);
                    }
                    $angle = $sweep->struckBy($ring);
                    if ($angle !== null && ($worst === null || $angle < $worst[0])) {
                        $worst = [$angle, $face->screen->name];
                    }
                }
            }
        }

        return $worst === null ? [] : [$wall->finding('layer.swing', $placed, $worst[0], sprintf(
            'has a leaf that opens to %s° only: then it strikes %s', round($worst[0], 1), $worst[1],
        ), null)];
    }

    private static function about(
        WallInQuestion $wall,
        string $rule,
        Screen $screen,
        float $figure,
        string $says,
        ?Remedy $remedy = null,
    ): Finding {
        $body = $wall->body;

        return new Finding(
            $rule, $body->host->id(), [$screen->id], $figure, Length::said($says, $wall->design->settings->units),
            [($body->start() + $body->end()) / 2, ($body->foot + $body->head) / 2], $remedy,
        );
    }
}
