<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Gives openings ("ids"; all when left out) marks of their own by a rule: "text" with {n} for a number, {storey} for the storey counted
 * from the lowest, {type} for the mark of the unit type. The number begins at "start" for every other beginning of the text, has
 * "digits" figures at least, and goes on by "order": "storey" (storey by storey, along the outline) or "along" (along the outline, from
 * the foot up). With "keep" those that have a mark keep it. Without {n} it marks one opening; a blank text takes marks away.
 */
final readonly class OpeningNumber implements Edit
{
    private function __construct(private Fields $args, private string $text, private int $start, private int $digits, private string $order)
    {
    }

    public static function from(Fields $args): self
    {
        $order = $args->string('order', 'storey');
        if ($order !== 'storey' && $order !== 'along') {
            throw Refusal::because('field.invalid', '“order” must be one of storey, along.', details: ['field' => 'order']);
        }

        return new self(
            $args,
            trim($args->string('text')),
            $args->has('start') ? $args->count('start', 'The first number', 0, 99_999) : 1,
            $args->has('digits') ? $args->count('digits', 'The number of figures', 1, 6) : 2,
            $order,
        );
    }

    public function scope(): Scope
    {
        return Scope::everything();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $wanted = $this->args->has('ids')
                    ? array_map($design->opening(...), Chosen::openings($this->args))
                    : array_values($design->openings);
        if ($this->args->bool('keep')) {
            $wanted = array_values(array_filter($wanted, static fn (Opening $o): bool => $o->mark === null));
        }
        if ($wanted === []) {
            throw Refusal::because('opening.none', 'There is no opening to mark.');
        }
        if ($this->text !== '' && count($wanted) > 1 && ! str_contains($this->text, '{n}')) {
            throw Refusal::because(
                'mark.no_number',
                sprintf('%d openings cannot all be marked “%s”: put {n} where the number stands.', count($wanted), $this->text),
                details: ['field' => 'text'],
            );
        }
        $marked = array_flip(array_map(static fn (Opening $o): string => $o->id, $wanted));
        $taken = [];
        foreach ($design->openings as $opening) {
            if ($opening->mark !== null && ! isset($marked[$opening->id])) {
                $taken[$opening->mark] = $opening->id;
            }
        }

        return $this->change($design, $this->ordered($design, $wanted), $taken);
    }

    /**
     * @param  list<Opening>  $openings
     * @param  array<string, string>  $taken
     */
    private function change(Design $design, array $openings, array $taken): Change
    {
        $operations = $numbers = [];
        $first = $last = '';
        $renamed = 0;
        foreach ($openings as $opening) {
            $mark = null;
            if ($this->text !== '') {
                $frame = strtr(
                    $this->text,
                    [
                        '{storey}' => (string) $design->storeys->indexOf($opening->storey),
                        '{type}' => $opening->isBare() ? 'bare' : $design->label($opening),
                    ],
                );
                $numbers[$frame] ??= $this->start;
                do {
                    $mark = str_replace('{n}', str_pad((string) $numbers[$frame]++, $this->digits, '0', STR_PAD_LEFT), $frame);
                    if (isset($taken[$mark]) && ! str_contains($frame, '{n}')) {
                        throw Refusal::because(
                            'mark.taken',
                            sprintf('Another opening is marked %s.', $mark),
                            [$taken[$mark]],
                            ['field' => 'text'],
                        );
                    }
                } while (isset($taken[$mark]));
                [$first, $last] = [$first === '' ? $mark : $first, $mark];
            }
            $after = $opening->withMark($mark);
            if ($after->mark !== $opening->mark) {
                $renamed += $opening->mark === null ? 0 : 1;
                $operations[] = Operation::alter($opening, $after);
            }
        }
        if ($operations === []) {
            throw Refusal::because('arrange.nothing', 'Nothing would change.');
        }
        $n = count($openings);
        $notes = array_values(array_filter([
            $this->text === '' ? null : ($n === 1 ? "It becomes $first." : "From $first to $last."),
            $renamed === 0 ? null : sprintf('%s another mark than now.', $renamed === 1 ? 'One gets' : "$renamed get"),
        ], static fn (?string $s): bool => $s !== null));

        return new Change(
            $this->text === ''
                            ? sprintf('Took the marks off %s', Words::counts(['opening' => $n]))
                            : sprintf('Marked %s', Words::counts(['opening' => $n])),
            $operations, array_map(static fn (Opening $o): string => $o->id, $openings), notes: $notes, wanted: $n);
    }

    /**
     * @param  list<Opening>  $openings
     * @return list<Opening>
     */
    private function ordered(Design $design, array $openings): array
    {
        $keys = [];
        foreach ($openings as $opening) {
            $wall = $design->host($opening->host);
            $placed = Places::in($design)->of($opening);
            $along = [(int) $design->isInner($wall), $design->outline($wall->outline())->position, $wall->position()];
            $storey = $design->storeys->indexOf($opening->storey);
            $keys[$opening->id] = $this->order === 'storey'
                            ? [$storey, ...$along, $placed->left, $placed->sill]
                            : [...$along, $storey, $placed->left, $placed->sill];
        }
        usort($openings, static fn (Opening $a, Opening $b): int => $keys[$a->id] <=> $keys[$b->id]);

        return $openings;
    }
}
