<?php

declare(strict_types=1);

namespace Bench\Trial;

/** What came back: status 0 where nothing did. */
final readonly class Answer
{
    public function __construct(public int $status, public string $content, public float $seconds, public string $type)
    {
    }

    public function get(string $name): mixed
    {
        $read = json_decode($this->content, true);

        return is_array($read) ? $read[$name] ?? null : null;
    }

    /** Nothing is known of what was asked for. */
    public function isUnsure(): bool
    {
        return in_array($this->status, [0, 502, 503, 504], true);
    }
}
