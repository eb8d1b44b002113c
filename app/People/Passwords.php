<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Isleward\Core\Measure\Refusal;

/** Passwords that were forgotten: a link by mail, good for an hour and once, sets a new one. */
final readonly class Passwords
{
    private const MINUTES = 60;

    public function __construct(private Post $post)
    {
    }

    /** Sends the link where the address has an account. Whether it has one is not told. */
    public function forgotten(string $email, string $base): void
    {
        $user = User::query()->where('email', Email::of($email))->where('guest', false)->first();
        if ($user !== null) {
            $this->post->to($user, 'A new password for Isleward', sprintf(
                "Someone asked for a new password for %s.\n\nSet it here within an hour:\n%s\n\nIf it was not you, do nothing: "
                .'the old one stays.', $user->email, $this->link($user, $base),
            ));
        }
    }

    /** A link that sets a new password; the one before it is good no more. */
    public function link(User $user, string $base): string
    {
        $token = Str::random(40);
        DB::table('password_resets')->upsert(
            ['user_id' => $user->id, 'token_hash' => hash('sha256', $token), 'created_at' => now()], ['user_id'],
        );

        return rtrim($base, '/')."/password/$token";
    }

    /**
     * Sets a new password; whoever is signed in with the old one is so no more.
     *
     * @throws Refusal when the link is over, or the password cannot be
     */
    public function set(string $token, string $password): User
    {
        $password = People::password($password);

        return DB::transaction(static function () use ($token, $password): User {
            $row = DB::table('password_resets')->where('token_hash', hash('sha256', $token))->lockForUpdate()->first();
            if ($row === null || Carbon::parse((string) $row->created_at)->addMinutes(self::MINUTES)->isPast()) {
                throw Refusal::because('password.over', 'This link is over: it is good for an hour, and once. Ask for another.');
            }
            $user = User::query()->findOrFail((int) $row->user_id);
            $user->fill(['password' => $password])->save();
            DB::table('password_resets')->where('user_id', $user->id)->delete();
            DB::table('sessions')->where('user_id', $user->id)->delete();

            return $user;
        });
    }
}
