<?php

declare(strict_types=1);

namespace Isleward\Core\Exchange;

use Isleward\Core\Building\Solved;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Finish;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Settings;
use Isleward\Core\Design\TypeMark;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Unit types as a JSON document, lengths in mm, with the finishes they name. Its schema (JSON Schema 2020-12) is published with
 * the application as schemas/unit-types.schema.json.
 */
final class TypesJson
{
    public const FORMAT = 'isleward-unit-types';

    public const VERSION = 1;

    private const MOST = 500;

    /** @param  iterable<UnitType>  $types */
    public static function write(Settings $settings, iterable $types): string
    {
        $out = $used = [];
        foreach ($types as $type) {
            $out[] = array_diff_key($type->toArray(), ['id' => 1, 'position' => 1]);
            foreach ($type->tree()->finishes as $finish) {
                $used[$finish] = true;
            }
        }
        $finishes = array_values(array_filter($settings->finishes, static fn (Finish $f): bool => isset($used[$f->id])));

        return json_encode(
            [
                'format' => self::FORMAT,
                'version' => self::VERSION,
                'finishes' => array_map(static fn (Finish $f): array => $f->toArray(), $finishes),
                'types' => $out,
            ],
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n";
    }

    /**
     * @param  list<string>|null  $marks  those wanted; null for all
     *
     * @throws Refusal when it is no such document, or one of its types cannot be built
     */
    public static function read(Design $design, Fields $document, ?array $marks, Ids $ids): Change
    {
        if (! $document->has('format') || $document->string('format') !== self::FORMAT) {
            throw Refusal::because('import.foreign', sprintf('This is no document of unit types: its “format” is not “%s”.', self::FORMAT));
        }
        if ($document->int('version') !== self::VERSION) {
            throw Refusal::because(
                'import.version',
                sprintf('This document is of version %d; version %d is read here.', $document->int('version'), self::VERSION),
            );
        }
        $given = $document->list('types');
        if (count($given) > self::MOST) {
            throw Refusal::because(
                'import.many',
                sprintf('A document brings %d types at the most; this one has %d.', self::MOST, count($given)),
            );
        }
        $types = $design->types;
        $operations = $chosen = $notes = [];
        $position = UnitType::lastPosition($design->types);
        foreach ($given as $i => $one) {
            $mark = $one->has('mark') ? $one->string('mark') : '';
            if ($marks !== null && ! in_array($mark, $marks, true)) {
                continue;
            }
            try {
                $type = UnitType::from(new Fields(['id' => $ids->next(Kind::Type), 'position' => ++$position] + $one->all()));
                Solved::of($type, $type->width, $type->height);
            } catch (Refusal $refusal) {
                throw Refusal::because(
                    'import.type',
                    sprintf('Type %d%s of this document cannot be read: %s Nothing was brought in.', $i + 1, $mark === ''
                                            ? ''
                                            : ", $mark,", $refusal->said($design->settings->units)),
                    details: ['reason' => $refusal->reason],
                );
            }
            $free = self::isTaken($types, $type->mark) ? TypeMark::next($types, $type->mark) : $type->mark;
            if ($free !== $type->mark) {
                $notes[] = sprintf('%s is taken here and becomes %s.', $type->mark, $free);
                $type = $type->withMark($free);
            }
            $types[] = $type;
            $operations[] = Operation::add($type);
            $chosen[] = $type->id;
        }
        if ($operations === []) {
            throw Refusal::because('import.nothing', 'There is no unit type in this document, or none of those asked for.');
        }
        $settings = self::withFinishes($design->settings, $document, $notes);
        if ($settings !== null) {
            $operations[] = Operation::alter($design->settings, $settings);
        }

        return new Change(
            sprintf('Brought in %d unit %s', count($chosen), count($chosen) === 1 ? 'type' : 'types'),
            $operations,
            $chosen,
            notes: $notes,
        );
    }

    /** @param  array<array-key, UnitType>  $types */
    private static function isTaken(array $types, string $mark): bool
    {
        foreach ($types as $type) {
            if ($type->mark === $mark) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<string>  $notes */
    private static function withFinishes(Settings $settings, Fields $document, array &$notes): ?Settings
    {
        $finishes = $settings->finishes;
        $added = 0;
        foreach ($document->has('finishes') ? $document->list('finishes') : [] as $one) {
            $finish = Finish::from($one);
            $known = $settings->finish($finish->id);
            if ($known === null) {
                $finishes[] = $finish;
                $added++;
            } elseif ($known->toArray() !== $finish->toArray()) {
                $notes[] = sprintf('The finish “%s” is kept as it is in this project.', $known->name);
            }
        }

        return $added === 0 ? null : $settings->withFinishes($finishes);
    }
}
