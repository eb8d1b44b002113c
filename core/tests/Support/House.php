<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Support;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Settings;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Design\Wall;
use Isleward\Core\Edit\Edits;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Units;
use Isleward\Core\Unit\Stock;

/** A design that tests build up by edits, with ids that count up. */
final class House implements Ids
{
    public Design $design;

    private int $count = 0;

    public function __construct(Units $units = Units::Millimetre)
    {
        $this->design = Design::of(Settings::create('pr-1', 'Test house', $units));
    }

    /** Storeys of these heights, a rectangle through them all, and the stock of unit types. @param  list<float|string>  $heights */
    public static function box(
        float|string $width = 12000,
        float|string $depth = 8000,
        float|string $thickness = 300,
        array $heights = [3600, 3600],
        Units $units = Units::Millimetre,
    ): self {
        $house = new self($units);
        foreach ($heights as $i => $height) {
            $house->do('storey.insert', ['name' => "S$i", 'height' => $height, 'above' => $i === 0 ? null : $house->storey($i - 1)]);
        }
        foreach (Stock::types() as $type) {
            $house->do('type.add', $type);
        }
        $house->do(
            'outline.draw',
            [
                'rectangle' => ['width' => $width, 'depth' => $depth],
                'thickness' => $thickness,
                'base' => $house->storey(0),
                'top' => $house->storey(count($heights) - 1),
            ],
        );

        return $house;
    }

    public function next(Kind $kind): string
    {
        return $kind->id((string) ++$this->count);
    }

    /** @param  array<string, mixed>  $args */
    public function do(string $edit, array $args): Change
    {
        $change = $this->try($edit, $args);
        $change->requireDoable();
        $this->design = $this->design->after($change);

        return $change;
    }

    /** @param  array<string, mixed>  $args */
    public function try(string $edit, array $args): Change
    {
        return Edits::make($edit, new Fields($args, $this->design->settings->units))->apply($this->design, $this);
    }

    /** Whether an edit is refused with a sentence. @param  array<string, mixed>  $args */
    public function refuses(string $edit, array $args): bool
    {
        try {
            $this->try($edit, $args)->requireDoable();
        } catch (\Isleward\Core\Measure\Refusal) {
            return true;
        }

        return false;
    }

    public function storey(int $i): string
    {
        return $this->design->storeys->all[$i]->id;
    }

    public function wall(int $i = 0): Wall
    {
        return array_values($this->design->walls)[$i];
    }

    public function body(int $i = 0): Body
    {
        return Bodies::of($this->design)[$this->wall($i)->id];
    }

    public function type(string $mark): UnitType
    {
        foreach ($this->design->types as $type) {
            if ($type->mark === $mark) {
                return $type;
            }
        }
        throw new \LogicException("No $mark.");
    }

    /** @param  array<string, mixed>  $args "left" places the near jamb so far from the left end */
    public function place(array $args, int $wall = 0, int $storey = 0): Opening
    {
        if (isset($args['left'])) {
            $args['position'] = ['from' => 'left', 'value' => $args['left'], 'to' => 'near'];
        }
        unset($args['left']);
        $change = $this->do('opening.place', $args + ['host' => $this->wall($wall)->id, 'storey' => $this->storey($storey)]);

        return $this->design->opening($change->chosen[0]);
    }

    /**
     * One that is moved over others, since none is placed over one: put down first where the wall is free at that height.
     *
     * @param  array<string, mixed>  $args with "left"
     */
    public function moved(array $args, int $wall = 0, int $storey = 0): Opening
    {
        for ($left = 0; $left < 12000; $left += 100) {
            $there = [
                'position' => ['from' => 'left', 'value' => $left, 'to' => 'near'], 'host' => $this->wall($wall)->id,
                'storey' => $this->storey($storey),
            ] + $args;
            unset($there['left']);
            if (! $this->refuses('opening.place', $there)) {
                $id = $this->do('opening.place', $there)->chosen[0];
                $this->do('opening.change', ['id' => $id, 'position' => ['from' => 'left', 'value' => $args['left'], 'to' => 'near']]);

                return $this->design->opening($id);
            }
        }
        throw new \LogicException('There is no free place.');
    }

    public function placed(string $id): PlacedOpening
    {
        $opening = $this->design->opening($id);

        return Places::in($this->design)->of($opening);
    }
}
