<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Edge;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\SillDatum;
use Isleward\Core\Design\SillRule;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Carries settings ("settings": any of type, width, height, sill, head, setback, facing, handing, shape) from one opening
 * ("from") to others ("ids"). Sill and head are carried as heights over each one's own floor; both together set the height.
 */
final readonly class OpeningCarry implements Edit
{
    public const SETTINGS = ['type', 'width', 'height', 'sill', 'head', 'setback', 'facing', 'handing', 'shape', 'ajar', 'jambs'];

    /**
     * @param  list<string>  $ids
     * @param  list<string>  $settings
     */
    private function __construct(private array $ids, private string $from, private array $settings, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $settings = array_values(array_unique($args->strings('settings')));
        if ($settings === [] || array_diff($settings, self::SETTINGS) !== []) {
            throw Refusal::because('carry.settings', sprintf('Choose what to carry: any of %s.', implode(', ', self::SETTINGS)));
        }

        return new self(Chosen::openings($args), $args->string('from'), $settings, $args);
    }

    public function scope(): Scope
    {
        return Scope::around([...$this->ids, $this->from]);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $source = $design->opening($this->from);
        $attempt = Attempt::from($design, $this->args);
        foreach ($this->ids as $id) {
            if ($id !== $this->from) {
                $target = $design->opening($id);
                if (in_array('type', $this->settings, true) && $source->isBare() !== $target->isBare()) {
                    $attempt->note('A bare opening and one with a unit are not of one kind: those would be filled, or emptied.');
                }
                $attempt->alter($target, $this->carried($design, $source, $target));
            }
        }

        return $attempt->change(
            fn (int $n): string => sprintf('Carried %s to %s', implode(', ', $this->settings), Words::counts(['opening' => $n])),
        );
    }

    private function carried(Design $design, Opening $source, Opening $target): Opening
    {
        $names = [
            'type' => ['type', 'curtain'],
            'width' => ['width'],
            'height' => ['height'],
            'setback' => ['setback'],
            'facing' => ['facesOut'],
            'handing' => ['mirrored'],
            'shape' => ['shape'],
            'ajar' => ['ajar'],
            'jambs' => ['jambs'],
        ];
        $carried = $target->taking($source, array_merge(...array_map(
            static fn (string $setting): array => $names[$setting] ?? [],
            $this->settings,
        )));
        $sill = in_array('sill', $this->settings, true);
        $head = in_array('head', $this->settings, true);
        if (! $sill && ! $head) {
            return $carried;
        }
        $was = Places::in($design)->of($source);
        $floor = $design->storeys->floor($source->storey);
        if ($sill && $head) {
            $carried = $carried->withHeight($source->height);
        }
        $own = in_array($source->sill->from, [SillDatum::Floor, SillDatum::Line], true)
            ? ($sill ? $source->sill : SillRule::of(SillDatum::Floor, $was->head - $floor, edge: Edge::Head))
            : SillRule::of(SillDatum::Floor, $sill ? $was->sill - $floor : $was->head - $floor, edge: $sill ? Edge::Sill : Edge::Head);

        return $carried->withSill($own);
    }
}
