<?php

declare(strict_types=1);

namespace Isleward\Core\Bench;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Unit\Operation;

/** Steps about what fills a light. */
final class Lighting
{
    /**
     * {"paths", "values": values of {@see \Isleward\Core\Unit\Light}}: those change, the rest stays; a null value goes back to what is
     * usual.
     */
    public static function set(Draft $draft, Fields $args): Draft
    {
        $paths = $args->strings('paths');
        if ($paths === []) {
            throw Refusal::because('bench.no_light', 'Choose a light first.');
        }
        $values = $args->array('values');
        foreach ($paths as $path) {
            $light = $draft->node($path);
            if (isset($light['parts'])) {
                throw Refusal::because('bench.divided', 'That region is divided: choose one of its lights.', details: ['path' => $path]);
            }
            $draft = $draft->withNode($path, self::completed($light, $values));
        }

        return $draft;
    }

    /**
     * What a light of another operation needs and this one has not, as is usual (common practice).
     *
     * @param  array<array-key, mixed>  $light
     * @param  array<array-key, mixed>  $values
     * @return array<array-key, mixed>
     */
    private static function completed(array $light, array $values): array
    {
        $operation = Operation::tryFrom(is_string($values['operation'] ?? null) ? $values['operation'] : '');
        if ($operation !== null && $operation->value !== ($light['operation'] ?? null)) {
            $door = $operation->isDoor();
            // of another kind of leaf the sections are not kept
            $was = Operation::tryFrom(is_string($light['operation'] ?? null) ? $light['operation'] : '');
            if ($was !== null && $was->moves() && $was->isDoor() !== $door) {
                $light = array_diff_key($light, array_flip(['sashFace', 'topRail', 'bottomRail', 'sashDepth', 'style', 'innerRail']));
            }
            unset($light['reach'], $light['leaves']);
            $light += $operation->moves() ? [
                'sashFace' => $door ? 95.0 : 60.0,
                'sashDepth' => 68.0,
            ] + ($door ? ['bottomRail' => $operation->slides() ? 95.0 : 220.0] : []) : [];
            $light += ['hinge' => 'left', 'opens' => $operation === Operation::TopHung ? 'outward' : 'inward'];
            if ($operation === Operation::TopHung) {
                $light['opens'] = 'outward'; // it sheds rain
            } elseif ($operation === Operation::BottomHung) {
                $light['opens'] = 'inward';
            }
        }
        foreach ($values as $name => $value) {
            if ($name === 'glazing') {
                unset($light['glass'], $light['solid']);
            } elseif ($name === 'solid') {
                unset($light['glazing'], $light['glass']);
                $light['glass'] = $value === true ? 40.0 : 28.0;
            }
            if ($value === null) {
                unset($light[$name]);
            } elseif ((is_array($value) && is_array($light[$name] ?? null)) && in_array($name, ['bars', 'louvre'], true)) {
                $light[$name] = [...$light[$name], ...$value];
                if ($name === 'louvre') {
                    $light[$name] = array_diff_key(
                        $light[$name],
                        array_key_exists('count', $value) ? ['pitch' => 1] : (array_key_exists('pitch', $value) ? ['count' => 1] : []),
                    );
                }
            } else {
                $light[$name] = $value;
            }
        }
        if (! isset($light['glass']) && ! isset($light['glazing'])) {
            $light['glass'] = 28.0;
        }

        return $light;
    }
}
