<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\Contributors;
use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Refusal;

/** What a schedule is made from: the columns it can have, and a row for every one there is. */
final readonly class Source
{
    /**
     * @param  array<string, Field>  $fields  by their keys
     * @param  list<Row>  $rows
     */
    private function __construct(public string $name, public array $fields, public array $rows)
    {
    }

    /**
     * @param  array<string, Body>  $bodies
     * @param  list<Frontage>  $frontages
     *
     * @throws Refusal when nobody makes a schedule of that name
     */
    public static function of(string $name, Design $design, array $bodies, array $frontages): self
    {
        self::requireName($name);
        foreach (Contributors::to(Contributor::class) as $one) {
            if ($one->name() === $name) {
                $fields = $one->fields($design);
                $keys = array_map(static fn (Field $f): string => $f->key, $fields);

                return new self($name, array_combine($keys, $fields), $one->rows($design, $bodies, $frontages));
            }
        }
        throw new \LogicException("Nobody makes a schedule of $name.");
    }

    /** @throws Refusal when nobody makes a schedule of that name */
    public static function requireName(string $name): void
    {
        $names = array_map(static fn (Contributor $c): string => $c->name(), Contributors::to(Contributor::class));
        if (! in_array($name, $names, true)) {
            throw Refusal::because(
                'schedule.source',
                sprintf('There is no schedule of “%s”; there are %s.', mb_substr($name, 0, 30), implode(', ', $names)),
            );
        }
    }
}
