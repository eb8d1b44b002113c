<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Host;
use Isleward\Core\Design\Misfit;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * Many openings added or altered at once. Each is tried: one that is off its wall, runs past an edge of it or meets an
 * opening it did not meet before does not fit, and is told with the reason. Openings that move make room for each other.
 */
final class Attempt
{
    /** Width of the strips that openings of a wall are sought in, mm. */
    private const STRIP = 1500.0;

    /** @var list<array{Opening|null, Opening}> */
    private array $wanted = [];

    /** @var list<Misfit> */
    private array $misfits = [];

    /** Wanted, but known beforehand not to be. */
    private int $cannot = 0;

    /** @var list<Operation> */
    private array $operations = [];

    /** @var array<string, array<int, list<PlacedOpening>>> wall → strip → openings that stand there */
    private array $standing = [];

    /** @var list<string> */
    private array $notes = [];

    /** @param  bool  $fittingOnly  do what fits and leave the rest, rather than all or nothing */
    public function __construct(private readonly Design $design, private readonly bool $fittingOnly)
    {
    }

    /** "fit": "all" (all or nothing) or "fitting" (what fits). */
    public static function from(Design $design, Fields $args): self
    {
        $fit = $args->string('fit', 'all');
        if ($fit !== 'all' && $fit !== 'fitting') {
            throw Refusal::because('field.invalid', '“fit” must be one of all, fitting.', details: ['field' => 'fit']);
        }

        return new self($design, $fit === 'fitting');
    }

    public function add(Opening $opening): void
    {
        $this->wanted[] = [null, $opening->mark === null ? $opening : $opening->withMark(null)]; // a mark is of one opening
    }

    public function alter(Opening $before, Opening $after): void
    {
        $this->wanted[] = [$before, $after];
    }

    /** Something else that is part of the change and always fits. */
    public function also(Operation $operation): void
    {
        $this->operations[] = $operation;
    }

    public function cannot(string $element, string $sentence): void
    {
        $this->misfits[] = new Misfit($element, $sentence);
        $this->cannot++;
    }

    /** Something to be said before it is done. */
    public function note(string $sentence): void
    {
        if (! in_array($sentence, $this->notes, true)) {
            $this->notes[] = $sentence;
        }
    }

    public function isEmpty(): bool
    {
        return $this->wanted === [] && $this->misfits === [] && $this->operations === [];
    }

    /**
     * @param  \Closure(int): string  $summary  of the number that are done
     *
     * @throws Refusal when nothing was asked for
     */
    public function change(\Closure $summary): Change
    {
        if ($this->isEmpty()) {
            throw Refusal::because('arrange.nothing', 'Nothing would change.');
        }
        // what the new ones are placed from may be among them
        $added = array_map(
            static fn (array $w): Operation => $w[0] === null ? Operation::add($w[1]) : Operation::alter($w[0], $w[1]),
            $this->wanted,
        );
        $after = $this->design->after(new Change('', [...$this->operations, ...$added]));
        $this->stand();
        $chosen = [];
        foreach ($this->wanted as $i => [$before, $opening]) {
            try {
                $placed = OpeningRules::require($after, $opening);
                $why = $this->whyNot($after, $placed, $before);
            } catch (Refusal $refusal) {
                $placed = self::placeOrNull($after, $opening);
                $why = $refusal->said($this->design->settings->units);
            }
            if ($why !== null) {
                $this->misfits[] = new Misfit($before->id ?? $opening->id, $why, $placed?->spot());
                if ($before !== null) {
                    $this->keep(Places::in($this->design)->of($before));
                }

                continue;
            }
            $this->keep($placed);
            $this->operations[] = $added[$i];
            $chosen[] = $opening->id;
        }

        return new Change(
            $summary(count($chosen)),
            $this->operations,
            $chosen,
            $this->misfits,
            $this->notes,
            $this->fittingOnly,
            count($this->wanted) + $this->cannot,
        );
    }

    /** Puts down what stays where it is: all openings of the walls concerned but those that are altered. */
    private function stand(): void
    {
        $walls = $moved = [];
        foreach ($this->wanted as [$before, $opening]) {
            $walls[$opening->host] = true;
            if ($before !== null) {
                $moved[$before->id] = true;
            }
        }
        foreach ($this->operations as $operation) {
            if ($operation->after === null) {
                $moved[$operation->id] = true;
            }
        }
        foreach ($this->design->openings as $opening) {
            if (isset($walls[$opening->host]) && ! isset($moved[$opening->id])) {
                $this->keep(Places::in($this->design)->of($opening));
            }
        }
    }

    private function keep(PlacedOpening $placed): void
    {
        for ($i = (int) floor($placed->left / self::STRIP), $last = (int) floor($placed->right / self::STRIP); $i <= $last; $i++) {
            $this->standing[$placed->opening->host][$i][] = $placed;
        }
    }

    private function whyNot(Design $after, PlacedOpening $placed, ?Opening $before): ?string
    {
        $wall = $after->host($placed->opening->host);
        $was = $before === null ? null : Places::in($this->design)->of($before);
        $past = $this->past($after, $wall, $placed);
        if ($past !== null && ($was === null || $was->opening->host !== $wall->id() || $this->past($this->design, $wall, $was) === null)) {
            return $past;
        }
        for ($i = (int) floor($placed->left / self::STRIP), $last = (int) floor($placed->right / self::STRIP); $i <= $last; $i++) {
            foreach ($this->standing[$wall->id()][$i] ?? [] as $other) {
                if ($placed->overlaps($other) && ! $this->metBefore($was, $other)) {
                    return sprintf(
                        'It would meet %s at %s from the wall’s left end.',
                        $after->label($other->opening),
                        $this->say($other->left),
                    );
                }
            }
        }

        return null;
    }

    /** Two that met where they were before may go on meeting: that is for a finding to say. */
    private function metBefore(?PlacedOpening $was, PlacedOpening $other): bool
    {
        $before = $this->design->openings[$other->opening->id] ?? null;

        return $was !== null && $before !== null && $was->overlaps(Places::in($this->design)->of($before));
    }

    private function past(Design $design, Host $wall, PlacedOpening $placed): ?string
    {
        [$start, $end] = Places::in($design)->span($wall);
        $foot = $design->storeys->floor($wall->base());
        $head = $design->storeys->ceiling($wall->top());
        $sloped = Places::in($design)->sloped($wall);
        $by = [
            'the wall’s left end' => $start - $placed->left, 'the wall’s right end' => $placed->right - $end,
            'the wall’s head' => $sloped?->heads === null ? $placed->head - $head : $placed->pastHead($sloped),
            'the wall’s foot' => $sloped?->feet === null ? $foot - $placed->sill : $placed->pastFoot($sloped),
        ];
        foreach ($by as $edge => $mm) {
            if ($mm > Tolerance::LENGTH) {
                return sprintf('It would run %s past %s.', $this->say($mm), $edge);
            }
        }

        return null;
    }

    private static function placeOrNull(Design $design, Opening $opening): ?PlacedOpening
    {
        try {
            return Places::in($design)->of($opening);
        } catch (Refusal) {
            return null; // the reason has been told already: a rule that names nothing has no place
        }
    }

    private function say(float $mm): string
    {
        return Length::format($mm, $this->design->settings->units);
    }
}
