<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

/**
 * Which openings an edit needs to see; settings, storeys, outlines, walls, types and lines are always there, and so is
 * whatever the rules of the openings in view name.
 */
final readonly class Scope
{
    /**
     * @param  list<string>  $walls
     * @param  list<string>  $openings
     * @param  bool  $wallsToo  all openings of the walls that $openings lie in
     * @param  bool  $referrers  also what is placed from $openings, and from what is
     * @param  list<string>  $lines  also the openings placed from these lines
     * @param  list<string>  $storeys  of $walls only what may stand on these storeys; empty for all
     * @param  list<string>  $types  also the openings filled with these, with all others of their walls
     */
    private function __construct(
        public bool $everything,
        public array $walls = [],
        public array $openings = [],
        public bool $wallsToo = false,
        public bool $referrers = false,
        public array $lines = [],
        public bool $kept = false,
        public array $storeys = [],
        public array $types = [],
    ) {
    }

    public static function none(): self
    {
        return new self(false);
    }

    /** The sets and accepted findings that are kept, and no openings. */
    public static function kept(): self
    {
        return new self(false, kept: true);
    }

    public static function everything(): self
    {
        return new self(true);
    }

    /** All openings of these walls. */
    public static function ofWalls(string ...$walls): self
    {
        return new self(false, array_values($walls));
    }

    /**
     * Of these walls the openings that may stand on these storeys.
     *
     * @param  list<string>  $walls
     * @param  list<string>  $storeys
     */
    public static function onStoreys(array $walls, array $storeys): self
    {
        return new self(false, $walls, storeys: $storeys);
    }

    /** Of a wall the openings that may stand on a storey, and these openings. */
    public static function beside(string $wall, string $storey, ?string ...$openings): self
    {
        return new self(
            false,
            [$wall],
            array_values(array_filter($openings, static fn (?string $o): bool => $o !== null)),
            storeys: [$storey],
        );
    }

    /** The openings filled with these types, with all others of their walls. */
    public static function ofTypes(string ...$types): self
    {
        return new self(false, wallsToo: true, types: array_values($types));
    }

    /** These openings alone. */
    public static function ofOpenings(?string ...$openings): self
    {
        return new self(false, [], array_values(array_filter($openings, static fn (?string $o): bool => $o !== null)));
    }

    /**
     * These openings with all others of their walls, and of $walls.
     *
     * @param  list<string>  $openings
     * @param  list<string>  $walls
     */
    public static function around(array $openings, array $walls = []): self
    {
        return new self(false, $walls, $openings, wallsToo: true);
    }

    /**
     * These openings and lines with whatever is placed from them.
     *
     * @param  list<string>  $openings
     * @param  list<string>  $lines
     */
    public static function withReferrers(array $openings, array $lines = []): self
    {
        return new self(false, [], $openings, referrers: true, lines: $lines);
    }
}
