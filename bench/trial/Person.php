<?php

declare(strict_types=1);

namespace Bench\Trial;

/** Someone at a browser: their cookies, and the keys of what they ask for. */
final class Person
{
    /** @var array<string, string> */
    public array $cookies = [];

    private int $count = 0;

    private readonly string $window;

    public function __construct(public readonly string $email)
    {
        $this->window = bin2hex(random_bytes(8));
    }

    public function key(): string
    {
        return $this->window.'.'.++$this->count;
    }
}
