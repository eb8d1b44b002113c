<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

use Isleward\Core\Measure\Refusal;

/** A point of a law's curve that can be dragged. */
final readonly class Handle
{
    /**
     * @param  float  $at  share of the run, 0 to 1
     * @param  bool  $slides  along the run too, not only up and down
     */
    public function __construct(public string $name, public float $at, public float $value, public bool $slides)
    {
    }

    public static function unknown(string $name): Refusal
    {
        return Refusal::because('law.handle', sprintf('This law has no point “%s”.', mb_substr($name, 0, 40)),
            details: ['field' => 'handle']);
    }
}
