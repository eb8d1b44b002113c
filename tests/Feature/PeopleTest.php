<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Invitation;
use App\Models\Letter;
use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/** Who comes into a project, by which way, and who goes. */
final class PeopleTest extends ProjectCase
{
    public function test_one_who_is_invited_comes_in_with_a_new_account_once(): void
    {
        $token = $this->invite('Lis@quay.example', 'editor');
        $letter = Letter::query()->sole();
        self::assertSame([$this->owner->id, 'lis@quay.example'], [$letter->user_id, $letter->recipient]);
        $this->getJson('/api/outbox')->assertOk()->assertJsonPath('letters.0.to', 'lis@quay.example');
        // signed in as someone else
        $this->assertProblem($this->postJson("/api/invitations/$token"), 422, 'invitation.other');
        Auth::logout();
        $this->getJson("/api/invitations/$token")
            ->assertOk()
            ->assertJsonPath('project', 'Test house')
            ->assertJsonPath('over', null)
            ->assertJsonPath('hasAccount', false);
        $this->assertProblem(
            $this->postJson("/api/invitations/$token", ['name' => 'Lis Aune', 'password' => 'short']),
            422,
            'account.password',
        );
        $this->assertProblem(
            $this->postJson("/api/invitations/$token", ['name' => ' ', 'password' => 'long enough now']),
            422,
            'account.name',
        );
        $this->postJson("/api/invitations/$token", ['name' => 'Lis Aune', 'password' => 'long enough now'])
            ->assertOk()
            ->assertJsonPath('id', $this->project->id);
        $this->place(1000);
        // opened twice
        $this->getJson("/api/invitations/$token")->assertOk();
        self::assertStringContainsString('was accepted on', (string) $this->getJson("/api/invitations/$token")->json('over'));
        $this->assertProblem($this->postJson("/api/invitations/$token"), 422, 'invitation.over');
        $this->getJson('/api/invitations/nothing')->assertNotFound();
        // only an owner says who comes in
        $this->assertProblem(
            $this->postJson($this->at('invitations'), ['email' => 'x@y.example', 'role' => 'viewer']),
            403,
            'project.not_allowed',
        );
        self::assertSame(
            [null, 'lis@quay.example'],
            array_column(array_reverse($this->getJson($this->at('people'))->json('members')), 'email'),
        );
    }

    public function test_an_invitation_is_refused_withdrawn_replaced_and_runs_out(): void
    {
        foreach ([
            'invitation.address' => ['no address', 'editor'],
            'invitation.member' => [$this->owner->email, 'viewer'],
            'invitation.role' => ['a@b.example', 'owner'],
        ] as $code => [$email, $role]) {
            $this->assertProblem($this->postJson($this->at('invitations'), ['email' => $email, 'role' => $role]), 422, $code);
        }
        $first = $this->invite('lis@quay.example', 'viewer');
        $second = $this->invite('lis@quay.example', 'editor');
        self::assertStringContainsString('withdrawn', (string) $this->getJson("/api/invitations/$first")->json('over'));
        Invitation::ofToken($second)?->update(['expires_at' => now()->subMinute()]);
        self::assertStringContainsString('ran out', (string) $this->getJson("/api/invitations/$second")->json('over'));
        $this->invite('lis@quay.example', 'editor');
        $id = $this->getJson($this->at('people'))->assertJsonCount(1, 'invitations')->json('invitations.0.id');
        $this->deleteJson($this->at("invitations/$id"))->assertNoContent();
        $this->deleteJson($this->at("invitations/$id"))->assertNotFound();
    }

    public function test_a_read_only_link_lets_one_look_until_it_is_ended(): void
    {
        $id = $this->place(1000);
        $address = $this->postJson($this->at('links'), ['name' => 'the client'])->assertCreated()->json('address');
        $token = basename((string) $address);
        $link = $this->getJson($this->at('people'))->assertJsonCount(1, 'members')->json('links.0.id');
        Auth::logout();
        $this->postJson("/api/links/$token")->assertOk()->assertJsonPath('id', $this->project->id);
        $this->getJson($this->at(''))->assertOk()->assertJsonPath('role', 'viewer');
        $this->assertProblem($this->edit('opening.remove', ['ids' => [$id]], 1), 403, 'project.not_allowed');
        $this->assertProblem(
            $this->postJson('/api/projects', ['name' => 'Mine', 'units' => 'mm', 'storeys' => []]),
            403,
            'project.not_allowed',
        );
        self::assertCount(1, $this->getJson('/api/projects')->json('projects'));
        $guest = $this->app['auth']->user();
        $this->actingAs($this->owner);
        $this->deleteJson($this->at("links/$link"))->assertNoContent();
        $this->actingAs(User::query()->findOrFail($guest->id));
        $this->getJson($this->at(''))->assertNotFound();
        $this->assertProblem($this->postJson("/api/links/$token"), 422, 'link.ended');
        self::assertStringContainsString('was ended on', (string) $this->getJson("/api/links/$token")->json('over'));
    }

    public function test_roles_change_but_an_owner_stays_and_one_hears_who_else_is_there(): void
    {
        $mate = $this->member(Role::Viewer);
        $this->assertProblem($this->patchJson($this->at("people/{$this->owner->id}"), ['role' => 'editor']), 422, 'people.last_owner');
        $this->assertProblem($this->deleteJson($this->at("people/{$this->owner->id}")), 422, 'people.last_owner');
        $this->patchJson($this->at("people/$mate->id"), ['role' => 'editor'])->assertNoContent();
        $this->postJson($this->at('presence'), ['place' => 'the plan'])->assertOk()->assertJsonPath('here', []);
        $this->actingAs($mate);
        $this->place(1000);
        $this->postJson($this->at('presence'), ['place' => ''])
            ->assertOk()
            ->assertJsonPath('here.0.name', 'Runa Vell')
            ->assertJsonPath('here.0.place', 'the plan')
            ->assertJsonPath('number', $this->number());
        DB::table('presences')->where('user_id', $this->owner->id)->update(['seen_at' => now()->subMinute()]);
        $this->postJson($this->at('presence'), ['place' => ''])->assertOk()->assertJsonPath('here', []);
        $this->assertProblem($this->deleteJson($this->at("people/{$this->owner->id}")), 403, 'project.not_allowed');
        $this->deleteJson($this->at("people/$mate->id"))->assertNoContent();
        $this->getJson($this->at('presence'))->assertNotFound();
    }

    private function invite(string $email, string $role): string
    {
        $this->postJson($this->at('invitations'), ['email' => $email, 'role' => $role])->assertCreated();
        preg_match('#/join/(\w+)#', Letter::query()->orderByDesc('id')->firstOrFail()->body, $m);

        return $m[1] ?? '';
    }

    private function at(string $path): string
    {
        return rtrim("/api/projects/{$this->project->id}/$path", '/');
    }
}
