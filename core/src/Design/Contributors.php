<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/**
 * Who gives something to a drawing, a scene, a schedule or the findings. Each is named in core/src/contributors.php, by the interface it
 * serves; who makes the drawing asks here and knows none of them.
 */
final class Contributors
{
    /** @var array<class-string, list<object>> */
    private static array $made = [];

    /**
     * @template T of object
     *
     * @param  class-string<T>  $to
     * @return list<T> in the order they are named in
     */
    public static function to(string $to): array
    {
        if (! isset(self::$made[$to])) {
            /** @var array<class-string, list<class-string>> $named */
            $named = require dirname(__DIR__).'/contributors.php';
            self::$made[$to] = array_map(
                static fn (string $class): object => new $class,
                $named[$to] ?? throw new \LogicException("Nobody is named for $to in contributors.php."),
            );
        }
        /** @var list<T> */
        $all = self::$made[$to];

        return $all;
    }
}
