<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Reference;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\SillRule;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;

/** Renames a line, changes its rule ("rule") or its figure alone ("value"), or moves it ("by", mm). What is placed from it follows. */
final readonly class LineChange implements Edit
{
    private function __construct(private string $id, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->string('id'), $args);
    }

    public function scope(): Scope
    {
        $ref = $this->args->has('rule') ? $this->args->fields('rule')->stringOrNull('ref') : null;

        return Scope::withReferrers($ref === null ? [] : [$ref], [$this->id]);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $before = $design->line($this->id);
        $given = array_intersect_key($this->args->all(), array_flip(['name', 'storey', 'rule']));
        $after = SettingOutLine::from(new Fields([...$before->toArray(), ...$given], $this->args->units()));
        if ($this->args->has('value')) {
            $after = $after->withRule(self::withFigure($after->rule, $this->figure($after->rule, 'value')));
        }
        if ($this->args->has('by')) {
            $by = $this->args->length('by');
            $after = $after->rule instanceof Along
                ? $after->withRule(Places::in($design)->alongAt(
                    $after->rule,
                    $design->host($after->host),
                    Places::in($design)->line($before) + $by,
                ))
                : $after->withRule($after->rule->withHeight($after->rule->height + $by));
        }
        $change = new Change('', [Operation::alter($before, $after)]);
        $then = $design->after($change);
        References::require($then, $after);
        LineAdd::requireOnFrontage($then, $after);

        return new Change(
            $before->name !== $after->name
                            ? sprintf('Renamed line %s to %s', $before->name, $after->name)
                            : sprintf('Moved line %s', $after->name),
            $change->operations,
            [$this->id],
        );
    }

    private function figure(Along|SillRule $rule, string $name): float
    {
        return $rule instanceof Along && $rule->from === Reference::Fraction ? $this->args->number($name) : $this->args->length($name);
    }

    private static function withFigure(Along|SillRule $rule, float $figure): Along|SillRule
    {
        return $rule instanceof Along ? $rule->withValue($figure) : $rule->withHeight(Length::within($figure));
    }
}
