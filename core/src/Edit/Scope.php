<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

/** Which openings an edit needs to see; settings, storeys, outlines, walls and types are always there. */
final readonly class Scope
{
    /**
     * @param  list<string>  $walls
     * @param  list<string>  $openings
     */
    private function __construct(public bool $everything, public array $walls, public array $openings)
    {
    }

    public static function none(): self
    {
        return new self(false, [], []);
    }

    public static function everything(): self
    {
        return new self(true, [], []);
    }

    /** All openings of these walls. */
    public static function ofWalls(string ...$walls): self
    {
        return new self(false, array_values($walls), []);
    }

    /** These openings alone. */
    public static function ofOpenings(string ...$openings): self
    {
        return new self(false, [], array_values($openings));
    }
}
