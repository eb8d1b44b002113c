<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Along;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Host;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\LineAxis;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Reference;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\SillDatum;
use Isleward\Core\Design\SillRule;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Brings a line across the corner at the "left" or "right" end of its frontage to the next: an upright one stands as far
 * from the corner there, a level one goes on at its level. Both follow the line they come from.
 */
final readonly class LineAcross implements Edit
{
    private function __construct(private string $id, private bool $right)
    {
    }

    public static function from(Fields $args): self
    {
        $side = $args->string('side');
        if ($side !== 'left' && $side !== 'right') {
            throw Refusal::because('field.invalid', '“side” must be one of left, right.', details: ['field' => 'side']);
        }

        return new self($args->string('id'), $side === 'right');
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $line = $design->line($this->id);
        $next = $this->next($design, $design->host($line->host));
        $rule = $line->axis === LineAxis::Upright
                    ? Along::of(Reference::Across, 0.0, $line->id)
                    : SillRule::of(SillDatum::Line, 0.0, $line->id);
        $taken = array_flip(array_map(static fn (SettingOutLine $l): string => $l->name, $design->lines));
        $name = $line->name;
        for ($i = 2; isset($taken[$name]); $i++) {
            $name = "$line->name.$i";
        }
        $added = SettingOutLine::from(new Fields([
            'id' => $ids->next(Kind::Line), 'name' => $name, 'host' => $next->id(), 'storey' => $line->storey, 'axis' => $line->axis->value,
            'rule' => $rule->toArray(),
        ]));
        References::require($design, $added);
        LineAdd::requireOnFrontage($design, $added);

        return new Change(sprintf('Brought line %s across the corner', $line->name), [Operation::add($added)], [$added->id]);
    }

    private function next(Design $design, Host $wall): Host
    {
        // a wall of the same outline before one that happens to meet there
        $others = [...$design->wallsOf($wall->outline()), ...array_values($design->walls)];
        foreach ($others as $other) {
            $meets = $this->right ? $wall->rightEnd()->isAt($other->leftEnd()) : $wall->leftEnd()->isAt($other->rightEnd());
            if ($other->id() !== $wall->id() && $meets && $design->isInner($other) === $design->isInner($wall)) {
                return $other;
            }
        }
        throw Refusal::because(
            'line.no_corner',
            sprintf('Nothing meets this wall at its %s end.', $this->right ? 'right' : 'left'),
            [$wall->id()],
        );
    }
}
