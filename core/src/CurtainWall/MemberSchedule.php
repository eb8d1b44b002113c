<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Length;
use Isleward\Core\Schedule\Contributor;
use Isleward\Core\Schedule\Field;
use Isleward\Core\Schedule\Measured;
use Isleward\Core\Schedule\Row;

/** Every member of every curtain wall: mullions, transoms, posts, free members; alike ones have one mark. */
final class MemberSchedule implements Contributor
{
    public function name(): string
    {
        return 'members';
    }

    public function fields(Design $design): array
    {
        return [
            new Field('mark', 'Mark', Measured::Text), new Field('what', 'Member', Measured::Text),
            new Field('section', 'Section', Measured::Text), new Field('length', 'Cut length', Measured::Length),
            new Field('first', 'First end, face / depth', Measured::Text), new Field('second', 'Second end, face / depth', Measured::Text),
            new Field('radius', 'Radius', Measured::Length), new Field('count', 'Count', Measured::Count, true),
            new Field('total', 'Total length', Measured::Length, true), new Field('volume', 'Volume', Measured::Volume, true),
            new Field('finish', 'Finish', Measured::Text),
            new Field('run', 'Run', Measured::Text), new Field('type', 'Grid type', Measured::Text),
            new Field('frontage', 'Frontage', Measured::Text), new Field('facing', 'Facing', Measured::Text),
            new Field('storey', 'Storey', Measured::Text),
        ];
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $members = $of = [];
        foreach (PlacedRun::all($design, $frontages) as $place) {
            foreach ($place->members as $member) {
                $members[] = $member;
                $of[] = $place;
            }
        }
        $rows = [];
        foreach (RunTakeOff::marks($members) as $i => $mark) {
            $member = $members[$i];
            $place = $of[$i];
            $ends = array_map(
                static fn (array $end): string => sprintf('%s° / %s°', self::degrees($end[0]), self::degrees($end[1])),
                $member->ends,
            );
            sort($ends); // the other way round it is the same on the bench
            $rows[] = new Row([$place->element], [
                'finish' => FinishOf::member($member)->in($place->grid->rules(), $design->settings)->name ?? '',
                'mark' => $mark, 'what' => $member->what,
                'section' => Length::said($member->profile->name(), $design->settings->units),
                'length' => round($member->length, 2), 'first' => $ends[0], 'second' => $ends[1],
                'radius' => $member->radius === null ? null : round($member->radius, 2), 'count' => 1,
                'total' => round($member->length, 2), 'volume' => $member->volume(), 'run' => $place->run, 'type' => $place->grid->mark(),
                'frontage' => $place->frontage->name, 'facing' => $place->frontage->facing(), 'storey' => $place->storey,
            ]);
        }

        return $rows;
    }

    private static function degrees(float $angle): string
    {
        return rtrim(rtrim(sprintf('%.2f', $angle), '0'), '.');
    }
}
