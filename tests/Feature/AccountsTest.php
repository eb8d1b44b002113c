<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Tests\TestCase;

/** The first account of an empty installation, and those that whoever runs it makes. */
final class AccountsTest extends TestCase
{
    use RefreshDatabase;

    private const FIRST = ['name' => 'Ama Osei', 'email' => 'Ama@Quay.example', 'password' => 'a tidal gauge'];

    public function test_whoever_comes_first_makes_the_first_account_and_nobody_after(): void
    {
        $this->getJson('/api/session')->assertOk()->assertJson(['user' => null, 'first' => true]);
        foreach ([
            [['name' => ' '], 'account.name', 'name'], [['password' => 'short'], 'account.password', 'password'],
            [['email' => 'nowhere'], 'account.email', 'email'],
        ] as [$wrong, $code, $field]) {
            $this->postJson('/api/accounts/first', [...self::FIRST, ...$wrong])->assertStatus(422)
                ->assertJson(['code' => $code, 'details' => ['field' => $field]]);
        }
        self::assertSame(0, User::query()->count());
        $this->postJson('/api/accounts/first', self::FIRST)->assertOk()->assertJson(['user' => ['email' => 'ama@quay.example']]);
        $this->getJson('/api/session')->assertJson(['user' => ['name' => 'Ama Osei'], 'first' => false]);
        $this->getJson('/api/projects')->assertOk();
        $this->deleteJson('/api/session')->assertNoContent();
        $this->getJson('/api/session')->assertJson(['user' => null, 'first' => false]);
        $this->postJson('/api/accounts/first', [...self::FIRST, 'email' => 'late@quay.example'])->assertStatus(422)
            ->assertJson(['code' => 'account.not_first']);
        self::assertSame(1, User::query()->count());
        $this->postJson('/api/session', ['email' => 'ama@quay.example', 'password' => 'a tidal gauge'])->assertOk();
    }

    public function test_whoever_runs_it_makes_accounts(): void
    {
        $this->artisan('isleward:person', ['do' => 'add', 'email' => 'Ivo@quay.example', '--name' => 'Ivo Brandt'])
            ->expectsOutputToContain('Ivo Brandt may sign in as ivo@quay.example, with the password ')->assertSuccessful();
        $this->artisan('isleward:person', [
            'do' => 'add', 'email' => 'lin@quay.example', '--name' => 'Lin', '--password' => 'twelve fathoms',
        ])->assertSuccessful();
        self::assertTrue(Hash::check('twelve fathoms', (string) User::query()->where('email', 'lin@quay.example')->value('password')));
        foreach ([
            [['email' => 'ivo@quay.example', '--name' => 'Ivo'], 'has an account already'],
            [['email' => 'nobody', '--name' => 'No'], 'is no email address'],
            [['email' => 'new@quay.example'], 'Say your name'],
            [['email' => 'new@quay.example', '--name' => 'New', '--password' => 'short'], '10 characters'],
        ] as [$args, $says]) {
            $this->artisan('isleward:person', ['do' => 'add', ...$args])->expectsOutputToContain($says)->assertFailed();
        }
        self::assertSame(2, User::query()->count());
        // there is somebody now: the first page does not offer itself
        $this->getJson('/api/session')->assertJson(['first' => false]);
    }

    public function test_people_change_their_name_email_and_password_and_only_with_the_one_of_now(): void
    {
        $user = User::factory()->create(['email' => 'ama@quay.example', 'password' => 'a tidal gauge']);
        User::factory()->create(['email' => 'ivo@quay.example']);
        $this->actingAs($user);
        $this->getJson('/api/account')->assertOk()->assertJson(['name' => $user->name, 'email' => 'ama@quay.example']);
        $this->patchJson('/api/account', ['name' => ' Ama Osei '])->assertOk()->assertJson(['name' => 'Ama Osei']);
        $right = ['password' => 'a tidal gauge'];
        foreach ([
            [['name' => ' '], 'account.name', 'name'],
            [['email' => 'new@quay.example'], 'account.current', 'password'],
            [['email' => 'new@quay.example', 'password' => 'a guess of it'], 'account.current', 'password'],
            [['email' => 'nowhere'] + $right, 'account.email', 'email'],
            [['email' => 'Ivo@quay.example'] + $right, 'account.there', 'email'],
            [['newPassword' => 'short'] + $right, 'account.password', 'password'],
            [['newPassword' => 'another gauge', 'password' => ''], 'account.current', 'password'],
        ] as [$wrong, $code, $field]) {
            $this->patchJson('/api/account', $wrong)->assertStatus(422)->assertJson(['code' => $code, 'details' => ['field' => $field]]);
        }
        self::assertSame(['Ama Osei', 'ama@quay.example'], [$user->refresh()->name, $user->email]);
        $this->patchJson('/api/account', ['email' => 'Ama.Osei@quay.example', 'newPassword' => 'another gauge'] + $right)->assertOk()
            ->assertJson(['email' => 'ama.osei@quay.example']);
        self::assertTrue(Hash::check('another gauge', $user->refresh()->password));
    }

    public function test_sessions_are_listed_and_ended_and_a_new_password_ends_all_others(): void
    {
        $user = User::factory()->create(['password' => 'a tidal gauge']);
        $other = User::factory()->create();
        $stand = function (string $id, User $of, int $ago = 0): void {
            DB::table('sessions')->insert([
                'id' => $id, 'user_id' => $of->id, 'ip_address' => '192.0.2.7', 'user_agent' => "Browser $id", 'payload' => '',
                'last_activity' => time() - $ago,
            ]);
        };
        array_map($stand, ['tablet', 'desktop', 'old'], [$user, $user, $user], [10, 90, 9000]);
        $stand('theirs', $other);
        $this->actingAs($user);
        $listed = fn (): array => array_column($this->getJson('/api/account')->assertOk()->json('sessions'), 'agent', 'id');
        self::assertSame(['Browser tablet', 'Browser desktop', 'Browser old'], array_values($listed()));
        self::assertNotContains('tablet', array_keys($listed()), 'what names a session does not open it');
        $this->deleteJson('/api/account/sessions/'.array_search('Browser desktop', $listed(), true))->assertOk();
        self::assertSame(['Browser tablet', 'Browser old'], array_values($listed()));
        $this->deleteJson('/api/account/sessions/'.substr(hash('sha256', 'session theirs'), 0, 32))->assertNotFound();
        $this->patchJson('/api/account', ['newPassword' => 'another gauge', 'password' => 'a tidal gauge'])->assertOk();
        self::assertSame([], $listed());
        self::assertSame(['theirs'], DB::table('sessions')->pluck('id')->all());
    }

    public function test_whoever_comes_by_a_link_has_no_account_to_change(): void
    {
        $guest = User::factory()->create();
        $guest->forceFill(['guest' => true])->save();
        $this->actingAs($guest);
        $this->getJson('/api/account')->assertForbidden();
        $this->patchJson('/api/account', ['name' => 'Somebody'])->assertForbidden();
        $this->deleteJson('/api/account/sessions')->assertForbidden();
    }
}
