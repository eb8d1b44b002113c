<?php

declare(strict_types=1);

namespace Isleward\Core\Tracing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Length;

/** What a vector tracing offers for a storey: openings along its walls that are not there yet, and jambs that lie off their marks. */
final class Offered
{
    /** A mark farther than this from a jamb is not its mark, mm. */
    private const REACH = 600.0;

    /**
     * @param  array<string, Body>  $bodies
     * @param  list<float>  $lines  of all tracings under the storey, in plan, mm
     * @return array{candidates: list<array{host: string, from: float, to: float, width: float, rounded: float}>, off: list<array{
     *    opening: string, sentence: string, by: float, args: array<string, mixed>|null}>, marks: int, undrawn: int} sizes in mm; how many
     *    marks, and how many openings are in walls of which nothing is drawn
     */
    public static function on(Design $design, array $bodies, string $storey, array $lines): array
    {
        $candidates = $off = [];
        $count = $undrawn = 0;
        $module = $design->settings->module;
        foreach ($bodies as $body) {
            if (! $design->storeys->isWithin($storey, $body->host->base(), $body->host->top())) {
                continue;
            }
            $marks = Marks::along($body, $lines);
            $count += count($marks->across);
            $there = [];
            foreach ($design->openingsOf($body->host->id()) as $opening) {
                if ($opening->storey === $storey) {
                    $placed = Places::in($design)->of($opening);
                    $there[] = [$placed->left, $placed->right];
                    if (! $marks->isDrawn()) {
                        $undrawn++;

                        continue;
                    }
                    $row = self::off($design, $opening->id, $placed->left, $placed->right, $marks);
                    if ($row !== null) {
                        $off[] = $row;
                    }
                }
            }
            foreach ($marks->openings() as [$a, $b]) {
                foreach ($there as [$left, $right]) {
                    if (min($right, $b) - max($left, $a) > ($b - $a) * 0.3) {
                        continue 2;
                    }
                }
                $candidates[] = [
                    'host' => $body->host->id(),
                    'from' => round($a, 2),
                    'to' => round($b, 2),
                    'width' => round($b - $a, 2),
                    'rounded' => $module?->opening($b - $a) ?? round(($b - $a) / 10) * 10,
                ];
            }
        }

        return ['candidates' => $candidates, 'off' => $off, 'marks' => $count, 'undrawn' => $undrawn];
    }

    /** @return array{opening: string, sentence: string, by: float, args: array<string, mixed>|null}|null */
    private static function off(Design $design, string $opening, float $left, float $right, Marks $marks): ?array
    {
        $units = $design->settings->units;
        $said = [];
        $worst = 0.0;
        $to = [];
        foreach (['left' => $left, 'right' => $right] as $side => $jamb) {
            $mark = $marks->nearest($jamb);
            if ($mark === null || abs($mark - $jamb) > self::REACH) {
                $said[] = sprintf('its %s jamb has no mark near it', $side);
                $worst = max($worst, self::REACH);

                continue;
            }
            $by = $mark - $jamb;
            $to[$side] = $mark;
            if (abs($by) > $design->settings->setting) {
                $said[] = sprintf(
                    'its %s jamb lies %s to the %s of its mark',
                    $side,
                    Length::format(abs($by), $units),
                    $by > 0 ? 'left' : 'right',
                );
                $worst = max($worst, abs($by));
            }
        }
        if ($said === []) {
            return null;
        }
        $both = isset($to['left'], $to['right']) && $to['right'] - $to['left'] > 100;
        $label = $design->openings[$opening]->mark ?? $design->label($design->openings[$opening]);

        return ['opening' => $opening, 'sentence' => ucfirst($label).': '.implode(', ', $said).'.', 'by' => $worst,
            'args' => $both ? [
                'id' => $opening,
                'width' => round($to['right'] - $to['left'], 2),
                'leftJamb' => round($to['left'], 2),
            ] : null];
    }
}
