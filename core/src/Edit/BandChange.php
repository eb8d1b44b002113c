<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Changes what is given of bands: where they run, how far apart their pieces stand, their section, the laws of their sizes. */
final readonly class BandChange implements Edit
{
    /** @param  non-empty-list<string>  $ids */
    private function __construct(private array $ids, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $ids = array_values(array_unique($args->strings('ids')));

        return new self($ids === [] ? throw Refusal::because('band.none_chosen', 'Choose a band first.') : $ids, $args);
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $operations = [];
        foreach ($this->ids as $id) {
            $band = Bands::band($design, $id);
            $operations[] = Operation::alter($band, $this->changed($design, $band));
        }
        $change = new Change('', $operations);
        $then = $design->after($change);
        $count = 0;
        $notes = [];
        foreach ($this->ids as $id) {
            $band = Bands::band($then, $id);
            BandRules::require($then, $band);
            $fins = Bands::in($then)->of($band);
            $count += $fins->count();
            $lost = count(array_diff($fins->lost, Bands::in($design)->find(Bands::band($design, $id))->lost ?? []));
            if ($lost > 0) {
                $notes[] = sprintf('%s has no such pieces any more: %d pinned by hand are left out while that is so.', $band->name, $lost);
            }
        }
        $first = Bands::band($then, $this->ids[0]);

        return new Change(
            count($this->ids) === 1 ? sprintf('Changed %s', $first->name) : sprintf('Changed %d bands', count($this->ids)),
            $operations, $this->ids, notes: $notes, wanted: $count,
        );
    }

    private function changed(Design $design, Band $band): Band
    {
        $before = $band->toArray();
        $given = array_diff_key(
            $this->args->all(),
            ['ids' => 1, 'laws' => 1, 'spaced' => 1, 'points' => 1, 'rectangle' => 1, 'circle' => 1, 'closed' => 1, 'closing' => 1,
                'turned' => 1],
        );
        if ($this->args->has('points') || $this->args->has('rectangle') || $this->args->has('circle')) {
            $given = [...$given, 'line' => BandAdd::line($this->args), 'outline' => null, 'walls' => []];
        } elseif ($this->args->has('outline')) {
            $given = [...$given, 'line' => null, 'walls' => $given['walls'] ?? []];
        } elseif ($this->args->has('walls') && $this->args->strings('walls') !== []) {
            $given = [...$given, 'line' => null, 'outline' => $design->wall($this->args->strings('walls')[0])->outline];
        }
        if ($this->args->bool('turned')) {
            $line = $band->line ?? throw Refusal::because('band.no_line', sprintf(
                '%s runs along an outline: its outside is the building’s.',
                $band->name,
            ), [$band->id]);
            $given['line'] = $line->reversed()->toArray();
        }
        foreach (['laws', 'spaced'] as $group) {
            if ($this->args->has($group)) {
                $given[$group] = [...(is_array($before[$group]) ? $before[$group] : []), ...$this->args->array($group)];
            }
        }

        return Band::from(new Fields([...$before, ...$given], $this->args->units()));
    }
}
