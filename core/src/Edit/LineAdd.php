<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Arrange\Spacing;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\LineAxis;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Reference;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Adds setting-out lines to a wall's frontage: one by a "rule" ({@see Along} when upright, {@see \Isleward\Core\Design\SillRule}
 * when level, with "storey" or over every floor); several by "parts" (equal parts) or "percentages" of the wall's length
 * or of the stretch "between" two upright lines.
 */
final readonly class LineAdd implements Edit
{
    private const MOST = 200;

    private function __construct(private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $args->string('host');

        return new self($args);
    }

    public function scope(): Scope
    {
        $ref = $this->args->has('rule') ? $this->args->fields('rule')->stringOrNull('ref') : null;

        return $ref !== null ? Scope::ofOpenings($ref) : Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $wall = $design->host($this->args->string('host'));
        $rules = match (true) {
            $this->args->has('parts') => $this->parts($design),
            $this->args->has('percentages') => $this->percentages($design),
            default => [$this->args->array('rule')],
        };
        $operations = [];
        $taken = array_flip(array_map(static fn (SettingOutLine $l): string => $l->name, $design->lines));
        $number = 1;
        $storey = $this->args->stringOrNull('storey');
        if ($storey !== null) {
            $design->storeys->get($storey);
        }
        foreach ($rules as $rule) {
            while (isset($taken["L$number"])) {
                $number++;
            }
            $line = SettingOutLine::from(new Fields([
                'id' => $ids->next(Kind::Line),
                'name' => $this->args->has('name') && count($rules) === 1 ? $this->args->name('name') : 'L'.$number++,
                'host' => $wall->id(), 'storey' => $storey, 'axis' => $this->args->string('axis', 'upright'), 'rule' => $rule,
            ], $this->args->units()));
            References::require($design, $line);
            self::requireOnFrontage($design, $line);
            $operations[] = Operation::add($line);
        }

        return new Change(
            sprintf(
                'Set out %s',
                count($operations) === 1
                                    ? 'line '.($operations[0]->after instanceof SettingOutLine ? $operations[0]->after->name : '')
                                    : Words::counts(['line' => count($operations)]),
            ),
            $operations, array_map(static fn (Operation $o): string => $o->id, $operations));
    }

    /** @throws Refusal when an upright line falls beside its wall */
    public static function requireOnFrontage(Design $design, SettingOutLine $line): void
    {
        if ($line->axis !== LineAxis::Upright) {
            Places::in($design)->lineLevels($line);

            return;
        }
        $u = Places::in($design)->line($line);
        [$start, $end] = Places::in($design)->span($design->host($line->host));
        if ($u < $start - 0.01 || $u > $end + 0.01) {
            throw Refusal::because(
                'line.off_wall',
                sprintf('The line would stand %s: that is beside the wall.', Words::fromEnd($u, $start, $end, $design->settings->units)),
                [$line->host],
            );
        }
    }

    /** @return list<array<string, mixed>> */
    private function parts(Design $design): array
    {
        $parts = $this->args->count('parts', 'The number of parts', 2, self::MOST);
        if (! $this->args->has('between')) {
            return array_map(
                static fn (float $share): array => Along::of(Reference::Fraction, $share)->toArray(),
                Spacing::divide(0.0, 1.0, $parts),
            );
        }
        [$first, $from, $to] = $this->between($design);

        return array_map(
            static fn (float $at): array => Along::of(Reference::Line, $at, $first)->toArray(),
            Spacing::divide(0.0, $to - $from, $parts),
        );
    }

    /** @return list<array<string, mixed>> */
    private function percentages(Design $design): array
    {
        $shares = [];
        foreach ($this->args->array('percentages') as $given) {
            $value = is_string($given) ? (float) str_replace([',', '%'], ['.', ''], $given) : $given;
            if ((! is_int($value) && ! is_float($value)) || $value < 0 || $value > 100) {
                throw Refusal::because(
                    'position.fraction',
                    sprintf('A share runs from 0 to 100 %%; %s was given.', is_scalar($given) ? (string) $given : 'something else'),
                );
            }
            $shares[] = $value / 100;
        }
        if ($shares === [] || count($shares) > self::MOST) {
            throw Refusal::because('line.percentages', sprintf('Give 1 to %d percentages.', self::MOST));
        }
        if (! $this->args->has('between')) {
            return array_map(static fn (float $share): array => Along::of(Reference::Fraction, $share)->toArray(), $shares);
        }
        [$first, $from, $to] = $this->between($design);

        return array_map(static fn (float $share): array => Along::of(Reference::Line, ($to - $from) * $share, $first)->toArray(), $shares);
    }

    /** @return array{string, float, float} the left one of the two lines, and where both stand on the wall */
    private function between(Design $design): array
    {
        $ids = $this->args->strings('between');
        if (count($ids) !== 2 || $ids[0] === $ids[1]) {
            throw Refusal::because('line.between', 'Name the two upright lines to divide between.');
        }
        $wall = $design->host($this->args->string('host'));
        $at = [];
        foreach ($ids as $id) {
            $at[$id] = Places::in($design)->along(Along::of(Reference::Line, 0.0, $design->line($id)->id), $wall);
        }
        asort($at);
        $left = array_key_first($at);

        return [$left, min($at), max($at)];
    }
}
