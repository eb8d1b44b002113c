<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Letter;
use App\Models\Link;
use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/** What those can do who should be able to do little: guests by a link, whoever tries to sign in, whoever names a host of their own. */
final class StrangersTest extends ProjectCase
{
    public function test_a_guest_by_a_link_touches_nothing_of_who_is_in_a_project(): void
    {
        $address = $this->postJson($this->path('links'), ['name' => 'client'])->assertCreated()->json('address');
        $guest = Link::query()->sole()->guest;
        Auth::logout();
        $this->postJson('/api/links/'.basename($address))->assertOk();
        $this->getJson($this->path(''))->assertOk();
        foreach ([$guest->id, $this->owner->id] as $whom) {
            $this->assertProblem($this->deleteJson($this->path("people/$whom")), 403, 'project.not_allowed');
        }
        $this->assertProblem(
            $this->postJson('/api/projects', ['name' => 'Own', 'units' => 'mm', 'storeys' => [['name' => 'Quay', 'height' => 3000]]]),
            403,
            'project.not_allowed',
        );
        foreach ([
            'invitations' => ['email' => 'a@b.example', 'role' => 'viewer'], 'links' => ['name' => 'x'],
            'edits' => ['edit' => 'outline.turn', 'args' => ['id' => 'x'], 'base' => 0], 'undo' => [],
            'revisions' => ['note' => 'x'],
        ] as $where => $body) {
            $this->assertProblem($this->postJson($this->path($where), $body), 403, 'project.not_allowed');
        }
        // sheets may be had, but not forty at once
        $statuses = array_map(
            fn (): int => $this->postJson($this->path('sheets'), ['paper' => 'A3', 'format' => 'pdf'])->getStatusCode(),
            range(1, 6),
        );
        self::assertSame([202, 202, 429, 429, 429, 429], $statuses);
        // and an owner ends the link, not its guest
        $this->actingAs($this->owner);
        $this->assertProblem($this->deleteJson($this->path("people/$guest->id")), 422, 'people.guest');
        self::assertTrue(DB::table('memberships')->where('user_id', $guest->id)->exists());
        $this->deleteJson($this->path('links/'.Link::query()->sole()->id))->assertNoContent();
        self::assertFalse(DB::table('memberships')->where('user_id', $guest->id)->exists());
    }

    public function test_an_address_that_only_looks_like_one_does_not_sign_in(): void
    {
        $user = User::factory()->create(['email' => 'rune@quay.example', 'password' => 'harbour-light']);
        Auth::logout();
        $try = fn (string $email) => $this->postJson('/api/session', ['email' => $email, 'password' => 'harbour-light']);
        foreach (['runé@quay.example', 'rüne@quay.example', 'rune@quay.example.', 'ｒune@quay.example'] as $other) {
            $this->assertProblem($try($other), 422, 'session.refused');
        }
        $try('  Rune@Quay.example ')->assertOk();
        self::assertSame($user->id, Auth::id());
        // both may have accounts of their own
        User::factory()->create(['email' => 'runé@quay.example']);
        // one letter with its accent, or with the accent after it, is one address
        Auth::logout();
        User::query()->where('email', 'runé@quay.example')->update(['password' => Hash::make('harbour-light')]);
        $try("rune\u{0301}@quay.example")->assertOk();
    }

    public function test_tries_are_counted_by_account_and_by_where_they_come_from(): void
    {
        Auth::logout();

        $this->withServerVariables(['REMOTE_ADDR' => '10.1.1.1']);
        foreach (range(1, 10) as $i) {
            $this->withServerVariables(['REMOTE_ADDR' => "10.1.1.$i"]);
            self::assertSame(
                422,
                $this->postJson(
                    '/api/session',
                    ['email' => [$this->owner->email, ' '.mb_strtoupper($this->owner->email)][$i % 2], 'password' => 'wrong'],
                )->getStatusCode(),
            );
        }
        $this->withServerVariables(['REMOTE_ADDR' => '10.1.1.99']);
        $this->assertProblem(
            $this->postJson('/api/session', ['email' => $this->owner->email, 'password' => 'wrong']),
            429,
            'request.too_many',
        );
        self::assertSame(422, $this->postJson('/api/session', ['email' => 'other@quay.example', 'password' => 'wrong'])->getStatusCode());
        foreach (range(1, 59) as $i) {
            $this->postJson('/api/session', ['email' => "n$i@quay.example", 'password' => 'wrong']);
        }
        $this->assertProblem(
            $this->postJson('/api/session', ['email' => 'n99@quay.example', 'password' => 'wrong']),
            429,
            'request.too_many',
        );
    }

    public function test_known_and_unknown_addresses_take_the_same_work(): void
    {
        Auth::logout();
        // a password is checked for both: counted, since a clock would tell of the machine
        $costs = [];
        Hash::shouldReceive('check')->andReturnUsing(static function (string $password, string $hash) use (&$costs): bool {
            $costs[] = password_get_info($hash);

            return password_verify($password, $hash);
        });
        foreach ([$this->owner->email, 'nobody@quay.example'] as $email) {
            $this->assertProblem($this->postJson('/api/session', ['email' => $email, 'password' => 'wrong']), 422, 'session.refused');
        }
        self::assertCount(2, $costs);
        self::assertSame($costs[0], $costs[1], 'and of the same cost');
    }

    public function test_letters_lead_to_our_own_address_and_other_hosts_are_refused(): void
    {
        config(['app.url' => 'https://walls.example']);
        $headers = ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json'];
        $response = $this->call(
            'POST',
            'http://evil.example'.$this->path('invitations'),
            server: $headers,
            content: '{"email":"lis@quay.example","role":"viewer"}',
        );
        $this->assertProblem($response, 421, 'request.host');
        self::assertSame(0, Letter::query()->count());
        foreach (['localhost:8080', '127.0.0.1', 'walls.example', 'WALLS.example:443'] as $i => $host) {
            $this->call(
                'POST',
                "http://$host".$this->path('invitations'),
                server: $headers,
                content: '{"email":"lis'.$i.'@quay.example","role":"viewer"}',
            )->assertCreated();
        }
        self::assertSame(4, Letter::query()->where('body', 'like', "%\nhttps://walls.example/join/%")->count());
        self::assertStringStartsWith(
            'https://walls.example/look/',
            $this->postJson($this->path('links'), ['name' => 'x'])->json('address'),
        );
    }

    public function test_uploads_are_bounded_by_person(): void
    {
        $upload = fn (): int => $this->call(
            'POST',
            $this->path('uploads/schedule?name=x'),
            server: ['CONTENT_TYPE' => 'text/plain', 'HTTP_ACCEPT' => 'application/json'],
            content: 'x',
        )->getStatusCode();
        // refused for what they are, and counted all the same
        foreach (range(1, 30) as $i) {
            $this->call(
                'POST',
                $this->path('uploads/tracing'),
                server: ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
                content: '',
            )->assertStatus(422);
        }
        $this->assertProblem(
            $this->call(
                'POST',
                $this->path('uploads/tracing'),
                server: ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
                content: '',
            ),
            429,
            'request.too_many',
        );
        self::assertSame(415, $upload());
        $this->actingAs($this->member(Role::Editor));
        $this->call(
            'POST',
            $this->path('uploads/tracing'),
            server: ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
            content: '',
        )->assertStatus(422);
    }

    private function path(string $more): string
    {
        return rtrim("/api/projects/{$this->project->id}/$more", '/');
    }
}
