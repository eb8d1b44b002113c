<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
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
}
