<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * Changes one opening ("id") or several together ("ids"). Besides its stored values it takes:
 *
 * - "head": level of the head over what the sill is measured from; the sill stays and the height follows, or with
 *   "keep": "head" the height stays and the sill follows;
 * - "height" with "keep": "head" grows downward; "sillHeight" (the sill's figure alone) with it keeps the head where it is;
 * - "value": the position's figure alone;
 * - "measure" {from, to, ref, point, at, face}: measures the position another way, the opening staying where it is;
 * - "sillFrom", or "measureSill" {from, ref, point, edge}: measures the sill another way, the opening staying where it is;
 * - "leftJamb" (mm from the wall's left end) and "sillLevel" (mm above the datum): puts it there, its rules staying the kind they are;
 * - "nib" {side, width}: puts it so far from the wall that meets its own on that side, or from where the clear face ends;
 * - "by" {u, v}: moves it by so much.
 *
 * Of several, figures given as text that begins with + or − are added to what each has, and each must fit ("fit").
 */
final readonly class OpeningChange implements Edit
{
    /** @param  list<string>  $ids */
    private function __construct(private array $ids, private bool $many, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return $args->has('ids') ? new self(Chosen::openings($args), true, $args) : new self([$args->string('id')], false, $args);
    }

    public function scope(): Scope
    {
        $named = [];
        foreach (['position', 'sill', 'measure', 'measureSill'] as $name) {
            if ($this->args->has($name)) {
                $named[] = $this->args->fields($name)->stringOrNull('ref');
            }
        }
        $named = array_values(array_filter($named, static fn (?string $id): bool => $id !== null));

        return $this->many ? Scope::around([...$this->ids, ...$named]) : Scope::ofOpenings(...$this->ids, ...$named);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $values = new OpeningValues($design, $this->args, $this->many);
        if ($this->many) {
            $attempt = Attempt::from($design, $this->args);
            foreach ($this->ids as $id) {
                $before = $design->opening($id);
                try {
                    $attempt->alter($before, $values->of($before));
                } catch (Refusal $refusal) {
                    $attempt->cannot($id, $refusal->said($design->settings->units));
                }
            }

            return $attempt->change(static fn (int $n): string => sprintf('Changed %s', Words::counts(['opening' => $n])));
        }
        $before = $design->opening($this->ids[0]);
        $after = $values->of($before);
        $now = OpeningRules::require($design->after(new Change('', [Operation::alter($before, $after)])), $after);

        return new Change(
            self::summary($design, $before, $after, Places::in($design)->of($before), $now),
            [Operation::alter($before, $after)],
            [$before->id],
        );
    }

    private static function summary(Design $design, Opening $before, Opening $after, PlacedOpening $was, PlacedOpening $now): string
    {
        $label = $design->label($before);
        $say = static fn (float $mm): string => Length::format(abs($mm), $design->settings->units);
        $right = $now->left - $was->left;
        $up = $now->sill - $was->sill;

        return match (true) {
            $before->type !== $after->type => sprintf('Made %s a %s', $label, $design->label($after)),
            $before->width !== $after->width
                            || $before->height !== $after->height => sprintf(
                                'Made %s %s × %s',
                                $label,
                                $say($after->width),
                                $say($after->height),
                            ),
            abs($right) > 0.005 => sprintf('Moved %s %s to the %s', $label, $say($right), $right > 0 ? 'right' : 'left'),
            abs($up) > 0.005 => sprintf('Moved %s %s %s', $label, $say($up), $up > 0 ? 'up' : 'down'),
            default => sprintf('Changed %s', $label),
        };
    }
}
