<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/**
 * The kinds of element there are. Each is described in core/src/kinds.php, which names classes of every folder: nothing here uses them, so
 * that a schedule's layout can live beside schedules and still be an element.
 */
final class Kinds
{
    /** @var array<string, Descriptor>|null by the kind's value */
    private static ?array $all = null;

    /** @return array<string, Descriptor> by the kind's value */
    public static function all(): array
    {
        if (self::$all === null) {
            self::$all = [];
            /** @var list<Descriptor> $described */
            $described = require dirname(__DIR__).'/kinds.php';
            foreach ($described as $descriptor) {
                self::$all[$descriptor->kind->value] = $descriptor;
            }
        }

        return self::$all;
    }

    public static function of(Kind $kind): Descriptor
    {
        return self::all()[$kind->value] ?? throw new \LogicException("$kind->value is not described in kinds.php.");
    }

    /** @return list<Kind> what is kept under a name beside the building */
    public static function kept(): array
    {
        return self::where(static fn (Descriptor $d): bool => $d->isKept());
    }

    /** @return list<Kind> what is read with every drawing */
    public static function bearing(): array
    {
        return self::where(static fn (Descriptor $d): bool => $d->bearing);
    }

    /**
     * @param  \Closure(Descriptor): bool  $which
     * @return list<Kind>
     */
    private static function where(\Closure $which): array
    {
        return array_map(static fn (Descriptor $d): Kind => $d->kind, array_values(array_filter(self::all(), $which)));
    }
}
