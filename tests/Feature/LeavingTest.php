<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Project;
use App\Models\Role;
use App\Models\User;

/** Accounts that are deleted: what becomes of their projects is asked, and what they did in others' stays. */
final class LeavingTest extends ProjectCase
{
    public function test_the_projects_of_whoever_leaves_get_an_heir_or_go_and_nothing_is_half_done(): void
    {
        $email = $this->owner->email;
        $mate = $this->member(Role::Editor);
        $own = $this->makeProject($this->owner);
        $shared = $this->makeProject($mate);
        $shared->members()->attach($this->owner->id, ['role' => Role::Editor->value]);
        $this->postJson("/api/projects/$shared->id/edits", ['edit' => 'settings.change', 'args' => ['name' => 'Ours'], 'base' => 0])->assertOk();
        $alone = $this->getJson('/api/account')->assertOk()->json('alone');
        self::assertEqualsCanonicalizing([$this->project->id, $own->id], array_column($alone, 'id'));
        self::assertSame([['id' => $mate->id, 'name' => $mate->name]], array_column($alone, 'others', 'id')[$this->project->id]);
        $leave = fn (array $said): \Illuminate\Testing\TestResponse => $this->deleteJson('/api/account', $said);
        $this->assertProblem($leave(['password' => 'not this one']), 422, 'account.current');
        $this->assertProblem($leave(['password' => 'harbour-light']), 422, 'account.heir');
        $stranger = User::factory()->create();
        foreach ([$stranger->id, 'somebody', $this->owner->id] as $heir) {
            $this->assertProblem($leave(['password' => 'harbour-light', 'heirs' => [$this->project->id => $heir]]), 422, 'account.heir');
        }
        self::assertNotNull(Project::query()->find($own->id));
        $this->getJson('/api/account')->assertOk()->assertJsonPath('name', 'Runa Vell');

        $leave(['password' => 'harbour-light', 'heirs' => [$this->project->id => $mate->id]])->assertNoContent();
        $this->getJson('/api/account')->assertUnauthorized();
        self::assertNull(Project::query()->find($own->id));
        self::assertSame(0, User::query()->where('email', $email)->count());
        self::assertSame('Somebody who left', User::query()->findOrFail($this->owner->id)->name);
        $this->actingAs($mate)->getJson("/api/projects/{$this->project->id}")->assertOk()->assertJsonPath('role', 'owner');
        // its history tells of somebody who left
        self::assertStringContainsString('Somebody who left', (string) $this->getJson("/api/projects/$shared->id/changes")->getContent());
        self::assertSame('Ours', $this->getJson("/api/projects/$shared->id")->json('settings.name'));
        self::assertStringNotContainsString('Somebody', (string) $this->getJson("/api/projects/$shared->id/people")->getContent());
    }

    public function test_a_shared_one_can_be_deleted_with_the_account(): void
    {
        $this->member(Role::Viewer);
        $this->deleteJson('/api/account', ['password' => 'harbour-light', 'heirs' => [$this->project->id => 'delete']])->assertNoContent();
        self::assertNull(Project::query()->find($this->project->id));
    }
}
