<?php

declare(strict_types=1);

/*
 * Speaks to a running server as the bench's user: call(address) answers with a function (method, path, body) → [ms, answer, ETag];
 * project(call, name, key, storeys); median(times).
 */

return [
    'call' => static function (string $address): Closure {
        $cookies = tempnam(sys_get_temp_dir(), 'jar');
        $curl = curl_init();
        $call = static function (string $method, string $path, ?array $body = null) use ($curl, $address, $cookies): array {
            $token = '';
            foreach (curl_getinfo($curl, CURLINFO_COOKIELIST) ?: [] as $line) {
                $parts = explode("\t", $line);
                if ($parts[5] === 'XSRF-TOKEN') {
                    $token = urldecode($parts[6]);
                }
            }
            curl_setopt_array($curl, [
                CURLOPT_URL => $address.$path, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true,
                CURLOPT_COOKIEFILE => $cookies, CURLOPT_COOKIEJAR => $cookies,
                CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "X-XSRF-TOKEN: $token"],
                CURLOPT_POSTFIELDS => $body === null ? '' : json_encode($body),
            ]);
            $tag = '';
            curl_setopt($curl, CURLOPT_HEADERFUNCTION, static function ($curl, string $line) use (&$tag): int {
                if (stripos($line, 'ETag:') === 0) {
                    $tag = trim(substr($line, 5));
                }

                return strlen($line);
            });
            $start = hrtime(true);
            $answer = curl_exec($curl);
            $ms = (hrtime(true) - $start) / 1e6;
            if (curl_getinfo($curl, CURLINFO_RESPONSE_CODE) >= 300) {
                throw new RuntimeException("$method $path: ".substr((string) $answer, 0, 500));
            }

            return [$ms, json_decode((string) $answer, true), $tag];
        };
        $call('GET', '/api/session');
        $call('POST', '/api/session', ['email' => 'bench@skerrow.example', 'password' => 'harbour-light']);

        return $call;
    },
    // a new project: its id, and a function (edit, args) → [ms, outcome] that goes on from what was done last
    'project' => static function (Closure $call, string $name, string $key, array $storeys): array {
        $id = $call('POST', '/api/projects', ['name' => $name, 'units' => 'mm', 'key' => $key, 'storeys' => $storeys])[1]['id'];
        $base = $call('GET', "/api/projects/$id")[1]['number'];

        return [$id, static function (string $edit, array $args) use ($call, $id, &$base): array {
            [$ms, $outcome] = $call('POST', "/api/projects/$id/edits", ['edit' => $edit, 'args' => $args, 'base' => $base]);
            $base = $outcome['number'];

            return [$ms, $outcome];
        }];
    },
    'median' => static function (array $times): float {
        sort($times);

        return $times[intdiv(count($times), 2)];
    },
];
