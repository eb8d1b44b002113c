<?php

declare(strict_types=1);

namespace Tests\Peers;

use PHPUnit\Framework\TestCase;

/** Asks scripts of Node.js, beside this file, what other libraries say. */
abstract class PeerCase extends TestCase
{
    /**
     * @param  list<array<string, mixed>>  $cases
     * @return list<array<string, mixed>>
     */
    protected static function ask(string $script, array $cases): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'peer');
        file_put_contents($file, json_encode($cases, JSON_THROW_ON_ERROR));

        return self::node($script, $file);
    }

    protected static function node(string $script, string $file): mixed
    {
        exec(sprintf('node %s %s 2>&1', escapeshellarg(__DIR__.'/'.$script), escapeshellarg($file)), $lines, $code);
        unlink($file);
        self::assertSame(0, $code, implode("\n", $lines));

        return json_decode((string) end($lines), true, 64, JSON_THROW_ON_ERROR);
    }
}
