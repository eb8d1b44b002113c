<?php

declare(strict_types=1);

namespace Isleward\Core\Measure;

/**
 * What cannot be done, said so that a designer understands it.
 *
 * Every reason has a class with named constructors, or uses {@see Refusal::because()}; the code is stable and in the
 * form "subject.reason", the sentence carries the figures, and the elements name what it concerns. Lengths that it marks
 * ({@see Length::mark()}) are written in the units of whoever it is said to; its message has them in mm.
 */
class Refusal extends \DomainException
{
    /**
     * @param  list<string>  $elements  ids of what the refusal concerns
     * @param  array<string, mixed>  $details  further facts a client may show (lists, figures in mm)
     */
    final protected function __construct(
        public readonly string $reason,
        private readonly string $sentence,
        public readonly array $elements = [],
        public readonly array $details = [],
    ) {
        parent::__construct(Length::said($sentence, Units::Millimetre));
    }

    /** The sentence with its lengths as a project writes them. */
    public function said(Units $units): string
    {
        return Length::said($this->sentence, $units);
    }

    /** The same about these elements. */
    public function of(string ...$elements): self
    {
        return new self($this->reason, $this->sentence, array_values($elements), $this->details);
    }

    /**
     * @param  list<string>  $elements
     * @param  array<string, mixed>  $details
     */
    public static function because(string $reason, string $sentence, array $elements = [], array $details = []): self
    {
        return new self($reason, $sentence, $elements, $details);
    }
}
