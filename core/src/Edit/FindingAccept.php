<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Acceptance;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Lets a finding stand ("host", "finding": its key, with its "figure"), or many together ("all", each of these), with one "note". */
final readonly class FindingAccept implements Edit
{
    /** @param  non-empty-list<Fields>  $found */
    private function __construct(private array $found, private string $note)
    {
    }

    public static function from(Fields $args): self
    {
        $found = $args->has('all') ? $args->list('all') : [$args];
        foreach ($found as $one) {
            $one->string('finding');
        }

        return $found === [] ? throw Refusal::because('acceptance.none', 'Say which findings are accepted.')
            : new self($found, $args->text('note'));
    }

    public function scope(): Scope
    {
        return Scope::kept();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $before = $operations = [];
        foreach ($design->acceptances as $other) {
            $before[$other->finding] = $other;
        }
        foreach ($this->found as $one) {
            $was = $before[$one->string('finding')] ?? null;
            $after = Acceptance::from(new Fields([
                'id' => $was->id ?? $ids->next(Kind::Acceptance), 'host' => $design->host($one->string('host'))->id(),
                'finding' => $one->string('finding'), 'figure' => $one->number('figure'), 'note' => $this->note,
            ]));
            $operations[$after->finding] = $was === null ? Operation::add($after) : Operation::alter($was, $after);
        }
        $count = count($operations);

        return new Change($count === 1 ? 'Accepted a finding' : "Accepted $count findings", array_values($operations));
    }
}
