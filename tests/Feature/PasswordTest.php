<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Letter;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

/** Passwords that were forgotten: asked for by mail, set by a link, once and within an hour. */
final class PasswordTest extends ProjectCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->owner->fill(['email' => 'runa@quay.example'])->save();
        Auth::logout();
    }

    private function token(): string
    {
        self::assertSame(1, preg_match('#/password/(\w{40})#', (string) Letter::query()->get()->sortByDesc('id')->first()?->body, $m));

        return $m[1] ?? '';
    }

    public function test_a_link_sets_a_new_password_once_and_ends_other_sessions(): void
    {
        $this->postJson('/api/passwords', ['email' => ' Runa@Quay.example '])->assertNoContent();
        $token = $this->token();
        self::assertStringNotContainsString($token, (string) json_encode(DB::table('password_resets')->get()));
        DB::table('sessions')->insert(['id' => 'elsewhere', 'user_id' => $this->owner->id, 'payload' => '', 'last_activity' => time()]);
        $this->assertProblem($this->postJson("/api/passwords/$token", ['password' => 'short']), 422, 'account.password');
        $this->postJson("/api/passwords/$token", ['password' => 'quite another one'])->assertOk()->assertJsonPath('user.name', 'Runa Vell');
        self::assertSame(0, DB::table('sessions')->where('id', 'elsewhere')->count());
        $this->getJson('/api/projects')->assertOk();
        Auth::logout();
        $this->assertProblem($this->postJson("/api/passwords/$token", ['password' => 'and one more still']), 422, 'password.over');
        $sign = fn (string $password): int => $this->postJson('/api/session', [
            'email' => 'runa@quay.example', 'password' => $password,
        ])->getStatusCode();
        self::assertSame([422, 200], [$sign('harbour-light'), $sign('quite another one')]);
    }

    public function test_it_is_over_after_an_hour_and_when_another_is_asked_for(): void
    {
        $this->postJson('/api/passwords', ['email' => 'runa@quay.example'])->assertNoContent();
        $first = $this->token();
        $this->travel(2)->minutes();
        $this->postJson('/api/passwords', ['email' => 'runa@quay.example'])->assertNoContent();
        $this->assertProblem($this->postJson("/api/passwords/$first", ['password' => 'quite another one']), 422, 'password.over');
        $this->travel(61)->minutes();
        $this->assertProblem($this->postJson("/api/passwords/{$this->token()}", ['password' => 'quite another one']), 422, 'password.over');
    }

    public function test_who_has_an_account_is_not_told_and_guests_have_no_password(): void
    {
        $known = $this->postJson('/api/passwords', ['email' => 'runa@quay.example']);
        $unknown = $this->postJson('/api/passwords', ['email' => 'nobody@quay.example']);
        self::assertSame([$known->getStatusCode(), $known->getContent()], [$unknown->getStatusCode(), $unknown->getContent()]);
        self::assertSame(1, Letter::query()->count());
        $this->owner->forceFill(['guest' => true])->save();
        $this->postJson('/api/passwords', ['email' => 'runa@quay.example'])->assertNoContent();
        self::assertSame(1, Letter::query()->count());
    }

    public function test_by_setting_it_is_real_mail_and_is_kept_nowhere_else(): void
    {
        config(['isleward.mail' => true, 'mail.default' => 'array']);
        $this->postJson('/api/passwords', ['email' => 'runa@quay.example'])->assertNoContent();
        self::assertSame(0, Letter::query()->count());
        $sent = Mail::mailer('array')->getSymfonyTransport()->messages();
        self::assertCount(1, $sent);
        $email = $sent->first()->getOriginalMessage();
        self::assertSame('runa@quay.example', $email->getTo()[0]->getAddress());
        self::assertMatchesRegularExpression('#/password/\w{40}#', $email->getTextBody());
    }

    public function test_whoever_runs_it_has_a_link_too(): void
    {
        $this->artisan('isleward:person', ['do' => 'reset', 'email' => 'runa@quay.example'])
            ->expectsOutputToContain('/password/')->assertSuccessful();
        $this->artisan('isleward:person', ['do' => 'reset', 'email' => 'nobody@quay.example'])->assertFailed();
    }
}
