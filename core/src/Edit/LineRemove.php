<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Removes lines ("ids", or "all": true). When things are placed from them it is refused with what hangs on them, until "keepFigures" is
 * true.
 */
final readonly class LineRemove implements Edit
{
    /** @param  list<string>  $ids */
    private function __construct(private array $ids, private bool $all, private bool $keepFigures)
    {
    }

    public static function from(Fields $args): self
    {
        $all = $args->bool('all');
        $ids = $all ? [] : array_values(array_unique($args->strings('ids')));
        if (! $all && $ids === []) {
            throw Refusal::because('line.none', 'Choose a line to remove.');
        }

        return new self($ids, $all, $args->bool('keepFigures'));
    }

    public function scope(): Scope
    {
        return $this->all ? Scope::everything() : Scope::withReferrers([], $this->ids);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $lines = $this->all ? array_values($design->lines) : array_map($design->line(...), $this->ids);
        if ($lines === []) {
            throw Refusal::because('line.none', 'There are no lines to remove.');
        }
        $gone = array_flip(array_map(static fn (SettingOutLine $l): string => $l->id, $lines));
        $what = count($lines) === 1 ? 'line '.$lines[0]->name : Words::counts(['line' => count($lines)]);
        Hanging::requireNoneUnless($this->keepFigures, $design, $gone, ucfirst($what));

        return new Change(
            sprintf('Removed %s', $what),
            [...References::letGo($design, $gone), ...array_map(Operation::remove(...), $lines)],
        );
    }
}
