<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kept;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Keeps something under a name ("set.keep", "layout.keep" …); of what is kept already ("id") it changes what is given. */
final readonly class Keep implements Edit
{
    private function __construct(private Kind $kind, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->choice('kept', Kind::class), $args);
    }

    public function scope(): Scope
    {
        return Scope::kept();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $before = $this->args->has('id') ? $design->kept($this->kind, $this->args->string('id')) : null;
        $given = array_diff_key($this->args->all(), ['id' => true, 'kept' => true]);
        $after = $this->kind->make(
            new Fields(
                [...($before?->toArray() ?? []), ...$given, 'id' => $before?->id() ?? $ids->next($this->kind)],
                $this->args->units(),
            ),
        );
        if (! $after instanceof Kept) {
            throw new \LogicException('Of this kind nothing is kept.');
        }
        $noun = $this->kind->word();
        foreach ($design->kept as $other) {
            if ($other->kind() === $this->kind && $other->id() !== $after->id() && $other->called() === $after->called()) {
                throw Refusal::because(
                    $this->kind->value.'.name_taken',
                    sprintf('There is a %s called %s already.', $noun, $after->called()),
                    [$other->id()],
                    ['field' => 'name'],
                );
            }
        }

        return new Change(
            sprintf('%s %s %s', $before === null ? 'Kept' : 'Changed', $noun, $after->called()),
            [$before === null ? Operation::add($after) : Operation::alter($before, $after)],
            [$after->id()],
        );
    }
}
