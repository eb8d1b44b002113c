<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * A request that is right but for one thing: a word where a number should be, a list where a word, nothing, too much, or no request at all.
 */
final class Spoiled
{
    /**
     * @param  array{string, string, mixed}  $right  method, address, body
     * @return array{string, string, string, string, string} method, address, content, its type, and what was spoiled
     */
    public static function one(array $right): array
    {
        [$method, $path, $body] = $right;
        $type = is_string($body) ? 'application/octet-stream' : 'application/json';
        $content = is_string($body) ? $body : ($body === null ? '' : self::json($body));
        $way = mt_rand(0, 99);
        if ($way < 12 && str_contains($path, '?')) {
            return [$method, self::query($path), $content, $type, 'query'];
        }
        if ($way < 24) {
            return [$method, self::path($path), $content, $type, 'path'];
        }
        if ($way < 30) {
            return [
                $method, $path,
                self::pick([
                    '', '[]', '"x"', 'null', '{', "\xFF\xFE", '{"a":', str_repeat('[', 2000),
                    str_repeat(' ', 1_000_001), "{\"edit\":\"\xC3\x28\"}", '1e999', '{"base":1e999}',
                ]),
                $type, 'content',
            ];
        }
        if ($way < 33) {
            return [
                $method, $path, $content,
                self::pick([
                    'text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x', '',
                    'application/json; charset=utf-7',
                ]),
                'type',
            ];
        }
        if ($way < 35) {
            return [self::pick(['PUT', 'PATCH', 'DELETE', 'OPTIONS', 'POST']), $path, $content, $type, 'method'];
        }
        if (! is_array($body)) {
            return [
                $method, self::path($path), is_string($body) ? substr($body, 0, mt_rand(0, strlen($body))) : $content,
                $type, 'path and content',
            ];
        }
        $leaves = self::leaves($body);
        $leaf = $leaves[mt_rand(0, count($leaves) - 1)];
        // now and then somewhere above it
        $leaf = mt_rand(0, 3) === 0 && count($leaf) > 1 ? array_slice($leaf, 0, mt_rand(1, count($leaf) - 1)) : $leaf;

        return [$method, $path, self::json(self::changed($body, $leaf)), $type, 'field '.implode('.', $leaf)];
    }

    /**
     * An edit's arguments with one thing of them spoiled.
     *
     * @param  array<array-key, mixed>  $args
     * @return array<array-key, mixed>
     */
    public static function args(array $args): array
    {
        $leaves = self::leaves($args);
        $spoiled = self::changed($args, $leaves[mt_rand(0, count($leaves) - 1)]);

        return (array) json_decode(str_replace('"@@1e999@@"', '7', json_encode($spoiled, JSON_THROW_ON_ERROR)), true);
    }

    private static function query(string $path): string
    {
        [$base, $query] = explode('?', $path, 2);
        $parts = explode('&', $query);
        $at = mt_rand(0, count($parts) - 1);
        $name = explode('=', $parts[$at])[0];
        $parts[$at] = self::pick(
            [$name
                            .'[]=1', $name
                            .'[a][b]=1', $name, $name
                            .'=', $name
                            .'=%ff%fe', $name
                            .'=1e999', $name
                            .'=-1', $name
                            .'=4294967296', $name
                            .'=99999999999999999999', $name
                            .'='
                            .str_repeat('9', 400),
                $name.'=NaN', $name.'=%00', $name.'='.str_repeat('a', 5000), $name.'=0', $name.'=1&'.$name.'[]=2', $name.'=..%2F..',
                $name.'=%27%20or%201%3D1', $name.'=,,,', $name.'=1,2,3,4,5,6', $name.'=true']);

        return $base.'?'.implode('&', $parts);
    }

    private static function path(string $path): string
    {
        [$base, $query] = explode('?', $path.'?', 2);
        $parts = explode('/', ltrim($base, '/'));
        $at = mt_rand(min(2, count($parts) - 1), count($parts) - 1);
        $parts[$at] = self::pick([
            'x', '%00', '%ff', '..', '99999999999999999999', '-1', str_repeat('a', 300), '%E2%80%AE',
            '%27%20or%201%3D1', '0', $parts[$at].'x', '[]', $parts[$at].'%0a', 'op-'.str_repeat('0', 17),
        ]);

        return '/'.implode('/', $parts).($query === '' ? '' : '?'.rtrim($query, '?'));
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @param  non-empty-list<array-key>  $leaf
     * @return array<array-key, mixed>
     */
    private static function changed(array $body, array $leaf): array
    {
        $at = array_shift($leaf);
        if ($leaf !== [] && is_array($body[$at] ?? null)) {
            $body[$at] = self::changed($body[$at], $leaf);
        } elseif (mt_rand(0, 7) === 0) {
            unset($body[$at]);
        } elseif (mt_rand(0, 15) === 0 && is_array($body[$at] ?? null)) {
            $body[$at] = [...$body[$at], ...$body[$at]];
        } else {
            $body[$at] = self::pick([null, true, false, '', ' ', 'x', str_repeat(
                'ä',
                201,
            ), str_repeat('9', 400), -1, 0, 1, -0.0, 0.5, 4294967296, PHP_INT_MAX, PHP_INT_MIN, 1e308, '@@1e999@@', [], new \stdClass, ['a'],
                [[[[]]]], ['x' => 1], [null], "\0", '../../etc/passwd', "' or 1=1", '1/0', '((((', '1e999', '5\' 6 1/2"', '-3 m',
                'left', 'wa-00000',
                '−', '🪟', "a\u{202E}b",
                1.7976931348623157e308, [
                    'from' => 'opening', 'ref' => 'x',
                ], str_repeat('(', 3000),
                range(1, 300), 'all', 'rectangle', '100 %', 100000001]);
        }

        return $body;
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @param  list<array-key>  $above
     * @return list<non-empty-list<array-key>>
     */
    private static function leaves(array $body, array $above = []): array
    {
        $leaves = [];
        foreach ($body as $name => $value) {
            $here = [...$above, $name];
            array_push($leaves, ...(is_array($value) && $value !== [] ? self::leaves($value, $here) : [$here]));
        }

        return $leaves === [] ? [[...$above, 'x']] : $leaves;
    }

    private static function json(mixed $body): string
    {
        return str_replace(
            '"@@1e999@@"',
            '1e999',
            json_encode($body, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION),
        );
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    private static function pick(array $of): mixed
    {
        return $of[mt_rand(0, count($of) - 1)];
    }
}
