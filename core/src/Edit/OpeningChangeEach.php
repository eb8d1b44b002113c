<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Changes openings, each in its own way ("changes": of each what {@see OpeningChange} takes, with its "id"): remedies of many findings
 * together. Each must fit ("fit").
 */
final readonly class OpeningChangeEach implements Edit
{
    /** @param  array<string, Fields>  $changes  by opening */
    private function __construct(private array $changes, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $changes = [];
        foreach ($args->list('changes') as $one) {
            $changes[$one->string('id')] = $one;
        }

        return $changes === [] ? throw Refusal::because('opening.none', 'Say which openings are changed.') : new self($changes, $args);
    }

    public function scope(): Scope
    {
        return Scope::around(array_keys($this->changes));
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $attempt = Attempt::from($design, $this->args);
        foreach ($this->changes as $id => $how) {
            $before = $design->opening($id);
            try {
                $attempt->alter($before, (new OpeningValues($design, $how, false))->of($before));
            } catch (Refusal $refusal) {
                $attempt->cannot($before->id, $refusal->said($design->settings->units));
            }
        }

        return $attempt->change(static fn (int $n): string => sprintf('Put %s right', Words::counts(['opening' => $n])));
    }
}
