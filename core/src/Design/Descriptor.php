<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** What is to be known of a kind of element: the one place where each kind is described is core/src/kinds.php. */
final readonly class Descriptor
{
    /**
     * @param  string  $word  what people call one
     * @param  string  $prefix  what ids of it begin with
     * @param  class-string<Element>  $class  that its stored values make
     * @param  bool  $bearing  whether where walls and openings stand depends on it: it is read with every drawing
     */
    public function __construct(
        public Kind $kind,
        public string $word,
        public string $prefix,
        public string $class,
        public bool $bearing = false,
    ) {
    }

    /** Whether it is kept under a name beside the building. Asked when it is needed: its class is loaded for it. */
    public function isKept(): bool
    {
        return is_a($this->class, Kept::class, true);
    }
}
