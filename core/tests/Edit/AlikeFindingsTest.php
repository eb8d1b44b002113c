<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Check\Finding;
use Isleward\Core\Check\Findings;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\TestCase;

/** Findings that are alike are put right and accepted together. */
final class AlikeFindingsTest extends TestCase
{
    private House $house;

    /** @var list<string> */
    private array $ids;

    protected function setUp(): void
    {
        $this->house = House::box(24000);
        // five face in; two of them lie over each other
        $this->ids = array_map(fn (int $left): string => $this->house->place([
            'left' => $left, 'type' => $this->house->type('W-03')->id, 'facesOut' => false,
        ])->id, [1000, 4000, 7000, 10000, 13000]);
    }

    /** @return list<Finding> */
    private function found(): array
    {
        return Findings::of($this->house->design, Bodies::one($this->house->design, $this->house->wall()));
    }

    public function test_remedies_are_done_in_one_change_that_one_undo_takes_back(): void
    {
        $remedies = array_map(static fn (Finding $f): array => $f->remedy->args ?? [], $this->found());
        self::assertCount(5, $remedies);
        $was = $this->house->design;
        $change = $this->house->do('opening.change-each', ['changes' => $remedies]);
        self::assertSame('Put 5 openings right', $change->summary);
        self::assertSame([], $this->found());
        self::assertEquals($was->openings, $this->house->design->after($change->inverse(''))->openings);
    }

    public function test_what_does_not_fit_is_told_with_its_reason_and_the_rest_can_be_done(): void
    {
        $changes = [['id' => $this->ids[0], 'by' => ['u' => 3000]], ['id' => $this->ids[4], 'by' => ['u' => 500]], [
            'id' => $this->ids[3], 'width' => -5,
        ]];
        $tried = $this->house->try('opening.change-each', ['changes' => $changes, 'fit' => 'fitting']);
        self::assertSame([$this->ids[3], $this->ids[0]], array_map(static fn ($m): string => $m->element, $tried->misfits));
        self::assertSame(3, $tried->wanted);
        self::assertTrue($this->house->refuses('opening.change-each', ['changes' => $changes]));
        $this->house->do('opening.change-each', ['changes' => $changes, 'fit' => 'fitting']);
        self::assertSame([1000.0, 13500.0], array_map(fn (int $i): float => \Isleward\Core\Building\Places::in($this->house->design)->of(
            $this->house->design->opening($this->ids[$i]),
        )->left, [0, 4]));
    }

    public function test_many_are_accepted_with_one_note(): void
    {
        $all = array_map(static fn (Finding $f): array => [
            'host' => $f->host, 'finding' => $f->key(), 'figure' => $f->figure,
        ], $this->found());
        $this->house->do('finding.accept', ['host' => $all[2]['host'], 'note' => 'first'] + $all[2]);
        $change = $this->house->do('finding.accept', ['all' => $all, 'note' => 'seen on site']);
        self::assertSame('Accepted 5 findings', $change->summary);
        self::assertCount(5, $this->house->design->acceptances);
        self::assertSame(['seen on site'], array_values(array_unique(array_map(
            static fn ($a): string => $a->note, $this->house->design->acceptances,
        ))));
        $strange = ['host' => 'wa-none'] + $all[0];
        foreach ([['all' => [], 'note' => ''], ['note' => 'of none'], ['all' => [$strange], 'note' => '']] as $args) {
            try {
                $this->house->do('finding.accept', $args);
                self::fail('It was accepted.');
            } catch (Refusal $refusal) {
                self::assertNotSame('', $refusal->getMessage());
            }
        }
    }
}
