<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** Who names whom in a design. */
final class Namings
{
    /** @var array<string, list<array{Element, Tie}>> by id of what is named */
    private array $by = [];

    private function __construct(Design $design)
    {
        foreach ($design->elements() as $element) {
            foreach ($element->names() as $naming) {
                $this->by[$naming->to][] = [$element, $naming->how];
            }
        }
    }

    public static function in(Design $design): self
    {
        return $design->once(self::class, static fn (Design $d): self => new self($d));
    }

    /**
     * What names any of these so, each once.
     *
     * @param  list<string>  $ids
     * @return list<Element>
     */
    public function of(array $ids, Tie $how): array
    {
        $found = [];
        foreach ($ids as $id) {
            foreach ($this->by[$id] ?? [] as [$element, $tie]) {
                if ($tie === $how) {
                    $found[$element->id()] = $element;
                }
            }
        }

        return array_values($found);
    }
}
