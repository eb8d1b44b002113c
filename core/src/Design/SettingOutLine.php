<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * A line across a frontage that things are placed from: upright at a place along one of the frontage's walls, or level at
 * a height; a level one measured from the floor and bound to no storey stands over every floor.
 */
final readonly class SettingOutLine implements Element
{
    use Withers;

    /**
     * @param  string  $host  what it lies on; an upright line is measured along it
     * @param  string|null  $storey  whose floor a level line is measured from; null for every floor
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $host,
        public ?string $storey,
        public LineAxis $axis,
        public Along|SillRule $rule,
    ) {
    }

    public static function from(Fields $f): self
    {
        $axis = $f->choice('axis', LineAxis::class);
        $rule = $axis === LineAxis::Upright ? Along::from($f->fields('rule')) : SillRule::from($f->fields('rule'));
        if ($rule instanceof SillRule && $rule->edge !== Edge::Sill) {
            throw Refusal::because('line.edge', 'A line has no head: give its own level.');
        }

        return new self(
            $f->string('id'),
            $f->name('name'),
            $f->string('host'),
            $axis === LineAxis::Level ? $f->stringOrNull('storey') : null,
            $axis,
            $rule,
        );
    }

    /** Whether it stands over every floor. */
    public function isByStorey(): bool
    {
        return $this->rule instanceof SillRule && $this->rule->from === SillDatum::Floor && $this->storey === null;
    }

    /** The element its rule names. */
    public function ref(): ?string
    {
        return $this->rule->ref;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Line;
    }

    public function names(): array
    {
        return [...Naming::of(Tie::StandsIn, $this->host, $this->storey), ...Naming::of(Tie::MeasuredFrom, $this->ref())];
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'host' => $this->host,
            'storey' => $this->storey,
            'axis' => $this->axis->value,
            'rule' => $this->rule->toArray(),
        ];
    }

    public function withHost(string $host): self
    {
        return $this->but(host: $host);
    }

    public function withRule(Along|SillRule $rule): self
    {
        return $this->but(rule: $rule);
    }
}
