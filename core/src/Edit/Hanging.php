<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Opening;
use Isleward\Core\Measure\Refusal;

/** Refuses to take away what other things are placed from, saying what they are. */
final class Hanging extends Refusal
{
    /**
     * @param  array<string, mixed>  $gone  by id
     *
     * @throws self when something that stays is placed from them
     */
    public static function requireNoneUnless(bool $keepFigures, Design $design, array $gone, string $what): void
    {
        if ($keepFigures) {
            return;
        }
        $counts = ['opening' => 0, 'line' => 0, 'screen' => 0];
        $ids = $names = [];
        foreach (References::to($design, $gone) as $element) {
            if (! isset($gone[$element->id])) {
                $counts[$element instanceof Opening ? 'opening' : 'line']++;
                $ids[] = $element->id;
                $names[References::label($design, $element)] = true;
            }
        }
        foreach (References::screensTo($design, $gone) as $screen) {
            $counts['screen']++;
            $ids[] = $screen->id;
            $names[$screen->name] = true;
        }
        if ($ids === []) {
            return;
        }
        $some = implode(', ', array_slice(array_keys($names), 0, 4)).(count($names) > 4 ? ' …' : '');
        throw new self(
            'hanging',
            sprintf(
                '%s: %s are placed from it (%s). They can keep their figures and stay where they are.',
                $what,
                ucfirst(Words::counts($counts)),
                $some,
            ),
            $ids, [...$counts, 'offer' => 'keepFigures']);
    }
}
