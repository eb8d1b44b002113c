<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;
use Isleward\Core\Edit\Edits;

/**
 * Laws over every edit there is, of what those who look are told: an answer of "not changed" is never untrue, and what an edit says it
 * touched is all that can have changed. The desk fetches again no more than that.
 */
final class TouchedTest extends FurnishedCase
{
    /** @var array<string, array{string, string}> tag and content of each drawing, by its address below the project */
    private array $known = [];

    public function test_not_changed_is_never_untrue_and_all_that_changed_was_told(): void
    {
        $this->look();
        self::assertGreaterThan(10, count($this->known));
        $structural = $unchanged = 0;
        foreach ($this->furnished->edits() as $name => $args) {
            $outcome = $this->edit($name, $args)->assertOk();
            $touched = $outcome->json('touched');
            $structural += (int) $touched['structure'];
            $changed = $this->look();
            $unchanged += count($this->known) - count($changed);
            if (! $touched['structure']) {
                self::assertSame([], array_values(array_diff($changed, $this->told($touched))), "$name changed more than it told");
            }
            $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
            $this->look();
        }
        self::assertGreaterThan(10, $structural, 'structural edits were among them');
        // of tags that change with everything nobody would gain
        self::assertGreaterThan(4 * count(Edits::names()), $unchanged);
    }

    public function test_only_what_is_made_of_it_is_fetched_again(): void
    {
        $place = fn (int $wall, string $mark): string => $this->edit('opening.place', [
            'host' => $this->wall($wall), 'storey' => $this->storey(1), 'type' => $this->type($mark),
            'position' => ['from' => 'left', 'value' => 2400, 'to' => 'near'],
        ])->assertOk()->json('chosen.0');
        $place(1, 'W-09');
        $place(2, 'W-13');
        $line = $this->edit('line.add', ['host' => $this->wall(3), 'axis' => 'upright', 'rule' => ['from' => 'left', 'value' => 1000]])
            ->assertOk()
            ->json('chosen.0');
        $this->look();
        $frontages = array_column($this->getJson("/api/projects/{$this->project->id}")->json('frontages'), 'id');
        $drawings = fn (int ...$of): array => array_merge(
            ...array_map(static fn (int $i): array => ["elevations/$frontages[$i]", "scenes/$frontages[$i]"], $of),
        );
        $told = fn (string $edit, array $args): array => $this->edit($edit, $args)->assertOk()->json('touched');

        // a type that one frontage holds: it, its storey's plan and the section
        $touched = $told(
            'type.change',
            [
                'id' => $this->type('W-09'),
                'tree' => [
                    'frame' => ['jamb' => 80, 'head' => 80, 'sill' => 80, 'depth' => 70],
                    'root' => ['operation' => 'fixed', 'glass' => 28],
                ],
            ],
        );
        self::assertSame(
            [false, true, [$this->wall(1)], [$this->storey(1)]],
            [$touched['structure'], $touched['project'], $touched['walls'], $touched['storeys']],
        );
        self::assertEqualsCanonicalizing(
            [...$drawings(1), 'plans/'.$this->storey(1)],
            array_diff($this->look(), ['sections?points=5000,-2000,5000,9000']),
        );

        // one that nothing holds, a layout, a set, a sheet: nothing
        foreach ([
            ['type.change', ['id' => $this->type('W-35'), 'name' => 'louvre, painted']],
            ['layout.keep', ['name' => 'Mine', 'source' => 'openings', 'columns' => [['key' => 'mark']]]],
            ['set.keep', ['name' => 'All', 'members' => [$this->wall(0)]]],
            ['sheet.keep', ['name' => 'First', 'number' => '9', 'paper' => 'A3', 'items' => []]],
        ] as [$edit, $args]) {
            $touched = $told($edit, $args);
            self::assertSame([false, true, []], [$touched['structure'], $touched['project'], $touched['walls']], $edit);
            self::assertSame([], $this->look(), $edit);
        }

        // a line: its own frontage
        $told('line.change', ['id' => $line, 'by' => 200]);
        self::assertSame(["elevations/$frontages[3]"], array_values($this->look()));
    }

    public function test_a_drawing_that_is_gone_with_its_wall_or_storey_is_said_to_be(): void
    {
        $this->look();
        $of = fn (): array => array_column($this->getJson("/api/projects/{$this->project->id}")->json('frontages'), 'id');
        $before = $of();
        $drawn = $this->edit('outline.draw', [
            'rectangle' => ['x' => 30000, 'width' => 6000, 'depth' => 5000], 'thickness' => 300,
            'base' => $this->storey(0), 'top' => $this->storey(0),
        ])->assertOk()->json('chosen.0');
        $new = array_values(array_diff($of(), $before));
        self::assertCount(4, $new);
        $url = "/api/projects/{$this->project->id}/elevations/$new[0]";
        $tag = (string) $this->getJson($url)->assertOk()->headers->get('ETag');
        $this->postJson("/api/projects/{$this->project->id}/undo")->assertOk();
        // also for one who has seen it, and names the tag
        $this->getJson($url, ['If-None-Match' => $tag])->assertNotFound();
        $this->postJson("/api/projects/{$this->project->id}/redo")->assertOk();
        $this->getJson($url, ['If-None-Match' => $tag])->assertStatus(304);
        self::assertNotSame('', $drawn);
        self::assertNotContains("elevations/$new[0]", $this->look(), 'it was not among those known');
    }

    /**
     * Asks for every drawing with the tag it had, and, where it is said not to have changed, without: both are the same.
     *
     * @return list<string> addresses of what changed or went since it was looked at last
     */
    private function look(): array
    {
        $changed = [];
        $now = [];
        foreach ($this->addresses() as $at) {
            [$tag, $content] = $this->known[$at] ?? ['', ''];
            $answer = $this->fetch($at, $tag);
            if ($answer->getStatusCode() === 304) {
                $answer = $this->fetch($at);
                self::assertSame(self::content($answer), $content, "$at was said not to have changed");
            } elseif ($tag !== '' && self::content($answer->assertOk()) !== $content) {
                $changed[] = $at;
            }
            $answer->assertOk();
            $now[$at] = [(string) $answer->headers->get('ETag'), self::content($answer)];
            self::assertNotSame('', $now[$at][0], "$at has a tag");
        }
        $this->known = $now;

        return $changed;
    }

    /** @return list<string> */
    private function addresses(): array
    {
        $project = $this->getJson("/api/projects/{$this->project->id}")->assertOk()->json();
        $at = [];
        foreach ($project['frontages'] as $frontage) {
            array_push($at, "elevations/{$frontage['id']}", "scenes/{$frontage['id']}");
        }
        foreach ($project['storeys'] as $storey) {
            $at[] = "plans/{$storey['id']}";
        }

        return [...$at, 'sections?points=5000,-2000,5000,9000'];
    }

    /**
     * What the desk fetches again after an edit that leaves the structure as it is (resources/js/desk/data.tsx).
     *
     * @param  array{walls: list<string>, storeys: list<string>}  $touched
     * @return list<string>
     */
    private function told(array $touched): array
    {
        $told = [];
        foreach ($this->getJson("/api/projects/{$this->project->id}")->json('frontages') as $frontage) {
            if (array_intersect($touched['walls'], array_keys($frontage['walls'])) !== []) {
                array_push($told, "elevations/{$frontage['id']}", "scenes/{$frontage['id']}");
            }
        }
        foreach ($touched['storeys'] as $storey) {
            $told[] = "plans/$storey";
        }

        return [...$told, ...array_filter(array_keys($this->known), static fn (string $at): bool => preg_match('#^sections#', $at) === 1)];
    }

    private function fetch(string $at, string $tag = ''): TestResponse
    {
        return $this->get(
            "/api/projects/{$this->project->id}/$at",
            ['Accept' => 'application/json'] + ($tag === '' ? [] : ['If-None-Match' => $tag]),
        );
    }

    private static function content(TestResponse $answer): string
    {
        return (string) ($answer->baseResponse instanceof \Symfony\Component\HttpFoundation\StreamedResponse
                    ? $answer->streamedContent()
                    : $answer->getContent());
    }
}
