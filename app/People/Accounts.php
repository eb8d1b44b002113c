<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** What people change of their own accounts, and where they are signed in. */
final class Accounts
{
    /**
     * @param  string  $session  that asks: it goes on when a new password ends the others
     *
     * @throws Refusal with the field that cannot be so; then nothing is changed
     */
    public function change(User $user, Fields $given, string $session): void
    {
        $name = $given->has('name') ? People::name($given->string('name')) : $user->name;
        $email = $given->has('email') ? People::address($given->string('email')) : $user->email;
        $new = $given->has('newPassword') ? People::password($given->string('newPassword')) : null;
        if (($email !== $user->email || $new !== null) && ! Hash::check($given->string('password', ''), $user->getAuthPassword())) {
            throw Refusal::because('account.current', 'That is not your current password.', details: ['field' => 'password']);
        }
        DB::transaction(function () use ($user, $name, $email, $new): void {
            if ($email !== $user->email && User::query()->where('email', $email)->lockForUpdate()->exists()) {
                throw Refusal::because('account.there', "$email has an account already.", details: ['field' => 'email']);
            }
            $user->fill(['name' => $name, 'email' => $email] + ($new === null ? [] : ['password' => $new]))->save();
        });
        if ($new !== null) {
            $this->endOthers($user, $session);
        }
    }

    /** @return list<array{id: string, current: bool, address: string, agent: string, last: string}> the latest first */
    public function sessions(User $user, string $session): array
    {
        $out = [];
        foreach (DB::table('sessions')->where('user_id', $user->id)->orderByDesc('last_activity')->get() as $row) {
            $out[] = [
                'id' => self::called((string) $row->id), 'current' => $row->id === $session, 'address' => (string) $row->ip_address,
                'agent' => mb_substr((string) $row->user_agent, 0, 200),
                'last' => Carbon::createFromTimestamp((int) $row->last_activity)->toIso8601String(),
            ];
        }

        return $out;
    }

    public function end(User $user, string $called, string $session): void
    {
        foreach (DB::table('sessions')->where('user_id', $user->id)->pluck('id') as $id) {
            if (self::called((string) $id) === $called && $id !== $session) {
                DB::table('sessions')->where('id', $id)->delete();

                return;
            }
        }
        abort(404);
    }

    public function endOthers(User $user, string $session): void
    {
        DB::table('sessions')->where('user_id', $user->id)->where('id', '!=', $session)->delete();
    }

    /** What names a session does not open it. */
    private static function called(string $id): string
    {
        return substr(hash('sha256', "session $id"), 0, 32);
    }
}
