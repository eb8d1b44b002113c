<?php

declare(strict_types=1);

namespace Isleward\Core\Revision;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Element;
use Isleward\Core\Design\Kept;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Layered;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Outline;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\Spot;
use Isleward\Core\Design\Storey;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Design\Wall;
use Isleward\Core\Layer\Band;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * What differs between two states of a design, said with figures; of openings also where they were and are, of curtain walls which of
 * their cells and members.
 *
 * @phpstan-import-type Part from CurtainPlaces
 *
 * @phpstan-type Row array{kind: string, what: 'added'|'removed'|'moved'|'changed', element: string, sentence: string,
 *    then: array<string, mixed>|null, now: array<string, mixed>|null, parts: list<Part>}
 */
final readonly class Difference
{
    /** Less is not told, mm. */
    private const SEEN = 0.05;

    private CurtainWords $curtains;

    private CurtainPlaces $places;

    private function __construct(private Design $then, private Design $now)
    {
        $this->curtains = new CurtainWords($then, $now);
        $this->places = new CurtainPlaces($then, $now);
    }

    /**
     * @param  Change  $change  that made the one of the other
     * @return list<Row>
     */
    public static function between(Design $then, Design $now, Change $change): array
    {
        $self = new self($then, $now);
        $rows = [];
        $openings = [];
        $moves = false;
        foreach ($change->operations as $operation) {
            if ($operation->kind === Kind::Opening) {
                $openings[$operation->id] = true;
            } else {
                $rows[] = $self->other($operation);
                $moves = $moves || in_array($operation->kind, [Kind::Storey, Kind::Wall, Kind::Line, Kind::Outline, Kind::Type], true);
            }
        }
        // openings go along with the walls, storeys, lines and openings that they are placed from
        foreach (array_keys($moves || $openings !== [] ? $now->openings + $then->openings : []) as $id) {
            $row = $self->opening($id, isset($openings[$id]));
            if ($row !== null) {
                $rows[] = $row;
            }
        }

        return $rows;
    }

    /**
     * @return Row|null
     */
    private function opening(string $id, bool $touched): ?array
    {
        [$was, $is] = [$this->then->openings[$id] ?? null, $this->now->openings[$id] ?? null];
        [$a, $b] = [$was === null ? null : self::placed($this->then, $was), $is === null ? null : self::placed($this->now, $is)];
        if ($was === null || $is === null) {
            $there = $is ?? $was ?? throw new \LogicException('It is in one of them.');
            $design = $is === null ? $this->then : $this->now;

            return [
                'kind' => 'opening', 'what' => $is === null ? 'removed' : 'added', 'element' => $id,
                'sentence' => sprintf(
                    '%s, %s, was %s.',
                    ucfirst($design->label($there)),
                    $this->storey($design, $there),
                    $is === null ? 'removed' : 'added',
                ),
                'then' => self::place($a), 'now' => self::place($b), 'parts' => []];
        }
        $said = [];
        $moved = false;
        if ($was->host !== $is->host) {
            $said[] = 'moved to another wall';
            $moved = true;
        } elseif ($a !== null && $b !== null) {
            $by = array_filter(
                [$this->by($b->left - $a->left, 'to the right', 'to the left'), $this->by($b->sill - $a->sill, 'up', 'down')],
                static fn (?string $s): bool => $s !== null,
            );
            if ($by !== []) {
                $said[] = 'moved '.implode(' and ', $by);
                $moved = true;
            }
        }
        foreach ([['wide', $was->width, $is->width], ['high', $was->height, $is->height]] as [$word, $from, $to]) {
            if (abs($to - $from) > self::SEEN) {
                $said[] = sprintf('%s %s instead of %s', $this->mm($to), $word, $this->mm($from));
            }
        }
        if ($was->type !== $is->type) {
            $said[] = sprintf(
                '%s instead of %s',
                $is->isBare() ? 'without a unit' : $this->now->label($is),
                $was->isBare() ? 'none' : $this->then->label($was),
            );
        }
        array_push($said, ...$this->curtains->curtain($was->curtain, $is->curtain));
        if ($said === [] && ! $touched) {
            return null;
        }

        return ['kind' => 'opening', 'what' => $moved ? 'moved' : 'changed', 'element' => $id,
            'sentence' => sprintf(
                '%s, %s: %s.',
                ucfirst($this->now->label($is)),
                $this->storey($this->now, $is),
                $said === [] ? 'measured, set back, handed or shown in another way' : implode(', ', $said),
            ),
            'then' => self::place($a), 'now' => self::place($b),
            'parts' => $this->parts($was, $is)];
    }

    private function by(float $mm, string $way, string $other): ?string
    {
        return abs($mm) <= self::SEEN ? null : $this->mm(abs($mm)).' '.($mm > 0 ? $way : $other);
    }

    /**
     * @return Row
     */
    private function other(Operation $operation): array
    {
        [$was, $is] = [$operation->before, $operation->after];
        $said = match (true) {
            $was === null => 'was added',
            $is === null => 'was removed',
            $was instanceof Storey && $is instanceof Storey && abs($was->height - $is->height) > self::SEEN => sprintf(
                'is %s high instead of %s',
                $this->mm($is->height),
                $this->mm($was->height),
            ),
            $was instanceof Wall && $is instanceof Wall => $this->wall($was, $is),
            $was instanceof Band && $is instanceof Band => self::all((new BandWords($this->now->settings->units))->between($was, $is)),
            $was instanceof GridType && $is instanceof GridType => self::all($this->curtains->type($was, $is)),
            $was instanceof Outline && $is instanceof Outline && $was->slab !== $is->slab => sprintf(
                'stands on %s instead of %s',
                $is->slab === null ? 'no slab of its own' : 'a slab of '.$this->mm($is->slab),
                $was->slab === null ? 'none' : 'one of '.$this->mm($was->slab),
            ),
            $was instanceof UnitType && $is instanceof UnitType && (abs($was->width - $is->width) > self::SEEN
                            || abs($was->height - $is->height) > self::SEEN) => sprintf(
                                'is %s × %s instead of %s × %s',
                                $this->mm($is->width),
                                $this->mm($is->height),
                                $this->mm($was->width),
                                $this->mm($was->height),
                            ),
            default => 'was changed',
        };

        return [
            'kind' => $operation->kind->value, 'what' => $was === null ? 'added' : ($is === null ? 'removed' : 'changed'),
            'element' => $operation->id,
            'sentence' => sprintf(
                '%s %s.',
                $this->name($is ?? $was ?? throw new \LogicException('An operation has an element.'), $is === null),
                $said,
            ),
            'then' => self::stands($this->then, $was), 'now' => self::stands($this->now, $is),
            'parts' => match (true) {
                $was instanceof Wall && $is instanceof Wall => $this->parts($was, $is),
                $was instanceof GridType && $is instanceof GridType => $this->places->ofType($is),
                default => [],
            }];
    }

    /**
     * Where a stretch of curtain wall stands; of other walls it is only said what became of them.
     *
     * @return array<string, mixed>|null
     */
    private static function stands(Design $design, ?Element $element): ?array
    {
        if (! $element instanceof Wall || $element->curtain === null) {
            return null;
        }
        $foot = $element->curtain->footLevel($design->storeys->floor($element->base));
        $length = $element->face()->length();
        $high = $element->curtain->height ?? $design->storeys->ceiling($element->top) - $foot;

        return (new Spot($element->id, $element->base, 0.0, $foot, $length, $high, $length))->toArray();
    }

    /** @return list<Part> */
    private function parts(Wall|Opening $was, Wall|Opening $is): array
    {
        return $was->curtain === null || $is->curtain === null ? [] : $this->places->between($was, $is);
    }

    private function wall(Wall $was, Wall $is): string
    {
        // a curtain wall is as thick as its members
        $alike = $was->curtain === null && $is->curtain === null;
        $said = ! $alike || abs($was->thickness - $is->thickness) <= self::SEEN ? [] : [
            sprintf('is %s thick instead of %s', $this->mm($is->thickness), $this->mm($was->thickness)),
        ];

        return self::all([...$said, ...$this->curtains->curtain($was->curtain, $is->curtain)]);
    }

    /** @param  list<string>  $said */
    private static function all(array $said): string
    {
        return $said === [] ? 'was changed' : implode(', ', $said);
    }

    private function name(Element $element, bool $gone): string
    {
        return match (true) {
            $element instanceof Storey => ucfirst($element->said()),
            $element instanceof Outline => 'Outline '.$element->name,
            $element instanceof Wall => sprintf(
                '%s %d of %s',
                $element->curtain === null ? 'Wall' : 'Stretch',
                $element->position + 1,
                (($gone ? $this->then : $this->now)->outlines[$element->outline] ?? null)->name ?? 'its outline',
            ),
            $element instanceof UnitType => sprintf('Unit type %s %s', $element->mark, $element->name),
            $element instanceof GridType => sprintf('Grid type %s %s', $element->mark(), $element->name()),
            $element instanceof Layered => $element->called(),
            $element instanceof SettingOutLine => 'Setting-out line '.$element->name,
            $element instanceof Kept => ucfirst($element->kind()->word()).' '.$element->called(),
            default => match ($element->kind()) {
                Kind::Settings => 'The project’s settings: something',
                default => 'An accepted finding',
            },
        };
    }

    private function storey(Design $design, Opening $opening): string
    {
        return $design->storeys->get($opening->storey)->name;
    }

    private static function placed(Design $design, Opening $opening): ?PlacedOpening
    {
        try {
            return Places::in($design)->of($opening);
        } catch (Refusal) {
            return null; // of a state in which its wall cannot stand: it is listed without its place
        }
    }

    /** @return array{host: string, storey: string, left: float, sillLevel: float, width: float, height: float, span: float}|null */
    private static function place(?PlacedOpening $p): ?array
    {
        return $p?->spot()->toArray();
    }

    private function mm(float $length): string
    {
        return Length::format($length, $this->now->settings->units);
    }
}
