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

/** Lets a finding stand ("finding": its key, with its "figure"), with a "note". */
final readonly class FindingAccept implements Edit
{
    private function __construct(private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $args->string('finding');

        return new self($args);
    }

    public function scope(): Scope
    {
        return Scope::kept();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $wall = $design->host($this->args->string('host'));
        $before = null;
        foreach ($design->acceptances as $other) {
            if ($other->finding === $this->args->string('finding')) {
                $before = $other;
            }
        }
        $after = Acceptance::from(new Fields([
            'id' => $before->id ?? $ids->next(Kind::Acceptance), 'host' => $wall->id(), 'finding' => $this->args->string('finding'),
            'figure' => $this->args->number('figure'), 'note' => $this->args->text('note'),
        ]));

        return new Change('Accepted a finding', [$before === null ? Operation::add($after) : Operation::alter($before, $after)]);
    }
}
