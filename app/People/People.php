<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Invitation;
use App\Models\Link;
use App\Models\Project;
use App\Models\Role;
use App\Models\User;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Isleward\Core\Measure\Refusal;

/** Who is in a project, and how they come in and go. */
final class People
{
    public function __construct(private readonly Post $post)
    {
    }

    private const DAYS = 14;

    private const MOST_WAITING = 50;

    /** Invites an address; the letter goes to the outbox. */
    public function invite(Project $project, User $by, string $email, Role $role, string $base): Invitation
    {
        $email = Email::of($email);
        if (filter_var($email, FILTER_VALIDATE_EMAIL) === false || mb_strlen($email) > Email::LONGEST) {
            throw Refusal::because(
                'invitation.address',
                sprintf('“%s” is no email address.', mb_substr($email, 0, 60)),
                details: ['field' => 'email'],
            );
        }
        if ($role === Role::Owner) {
            throw Refusal::because('invitation.role', 'One is invited to edit or to look; whoever is in can be made an owner then.');
        }
        if ($this->memberships($project)->join('users', 'users.id', '=', 'memberships.user_id')->where('users.email', $email)->exists()) {
            throw Refusal::because('invitation.member', sprintf('%s is in this project already.', $email), details: ['field' => 'email']);
        }
        if ($this->waiting($project)->count() >= self::MOST_WAITING) {
            throw Refusal::because(
                'invitation.too_many',
                sprintf('%d invitations are not accepted yet. Withdraw some first.', self::MOST_WAITING),
            );
        }
        // a second invitation of an address replaces the first
        $this->waiting($project)->where('email', $email)->update(['withdrawn_at' => now()]);
        $token = Str::random(40);
        $invitation = Invitation::query()->create(
            [
                'project_id' => $project->id,
                'email' => $email,
                'role' => $role->value,
                'token_hash' => hash('sha256', $token),
                'user_id' => $by->id,
                'created_at' => now(),
                'expires_at' => now()->addDays(self::DAYS),
            ],
        );
        $this->post->inNameOf($by, $email, sprintf('%s invites you to %s', $by->name, $project->name), sprintf(
            "%s invites you to %s “%s” in Isleward.\n\nAccept the invitation here:\n%s/join/%s\n\nThe invitation is for %s and runs out on %s.",
            $by->name, $role === Role::Editor ? 'work on' : 'view', $project->name, rtrim($base, '/'), $token, $email,
            $invitation->expires_at->format('j F Y'),
        ));

        return $invitation;
    }

    /** Takes an invitation up, as whoever is signed in or with a new account; refused when it is over, or someone else's. */
    public function join(Invitation $invitation, ?User $signedIn, ?string $name, ?string $password): User
    {
        return DB::transaction(function () use ($invitation, $signedIn, $name, $password): User {
            DB::table('invitations')->where('id', $invitation->id)->lockForUpdate()->value('id');
            $held = Invitation::query()->findOrFail($invitation->id);
            $why = $held->whyNot();
            if ($why !== null) {
                throw Refusal::because('invitation.over', $why);
            }
            if ($signedIn !== null && ! $signedIn->guest && Email::of($signedIn->email) !== $held->email) {
                throw Refusal::because(
                    'invitation.other',
                    sprintf('This invitation is for %s; you are signed in as %s. Sign out first.', $held->email, $signedIn->email),
                );
            }
            $user = $signedIn !== null && ! $signedIn->guest ? $signedIn : $this->account($held->email, $name, $password);
            DB::table('memberships')->insertOrIgnore(['project_id' => $held->project_id, 'user_id' => $user->id, 'role' => $held->role]);
            $held->update(['accepted_at' => now()]);

            return $user;
        });
    }

    /**
     * A read-only link, and the token it is opened with, which is told once.
     *
     * @return array{Link, string}
     */
    public function link(Project $project, User $by, string $name): array
    {
        $token = Str::random(40);

        return DB::transaction(function () use ($project, $by, $name, $token): array {
            $name = mb_substr(trim($name), 0, 80);
            $guest = User::query()->create(
                [
                    'name' => $name === '' ? 'Guest by a link' : mb_substr("Guest: $name", 0, 80),
                    'email' => Str::lower(Str::ulid()->toBase32()).'@guests.invalid',
                    'password' => Str::random(60),
                ],
            );
            $guest->forceFill(['guest' => true])->save();
            $project->members()->attach($guest->id, ['role' => Role::Viewer->value]);

            return [
                Link::query()->create(
                    [
                        'project_id' => $project->id,
                        'name' => $name,
                        'token_hash' => hash('sha256', $token),
                        'guest_id' => $guest->id,
                        'user_id' => $by->id,
                        'created_at' => now(),
                    ],
                ),
                $token,
            ];
        });
    }

    public function endLink(Link $link): void
    {
        DB::transaction(static function () use ($link): void {
            $link->update(['ended_at' => now()]);
            DB::table('memberships')->where('project_id', $link->project_id)->where('user_id', $link->guest_id)->delete();
            DB::table('presences')->where('project_id', $link->project_id)->where('user_id', $link->guest_id)->delete();
            DB::table('sessions')->where('user_id', $link->guest_id)->delete();
        });
    }

    /** Refused when the project would have no owner. */
    public function setRole(Project $project, int $user, ?Role $role): void
    {
        DB::transaction(function () use ($project, $user, $role): void {
            DB::table('projects')->where('id', $project->id)->lockForUpdate()->value('id');
            $now = $this->memberships($project)->where('user_id', $user)->value('role') ?? abort(404);
            if ($now === Role::Owner->value
                            && $role !== Role::Owner
                            && $this->memberships($project)->where('role', Role::Owner->value)->count() === 1) {
                throw Refusal::because('people.last_owner', 'A project has one owner at the least: make someone else an owner first.');
            }
            if (User::query()->findOrFail($user)->guest) {
                throw Refusal::because(
                    'people.guest',
                    $role === null
                                            ? 'Whoever comes by a link goes when the link is ended.'
                                            : 'A link is read-only. Invite whoever should edit.',
                );
            }
            $role === null
                            ? $this->memberships($project)->where('user_id', $user)->delete()
                            : $this->memberships($project)->where('user_id', $user)->update(['role' => $role->value]);
            if ($role === null) {
                DB::table('presences')->where('project_id', $project->id)->where('user_id', $user)->delete();
            }
        });
    }

    /** @return \Illuminate\Database\Eloquent\Builder<Invitation> those that can still be taken up */
    public function waiting(Project $project): \Illuminate\Database\Eloquent\Builder
    {
        return Invitation::query()->where('project_id', $project->id)
            ->where('accepted_at', null)
            ->where('withdrawn_at', null)
            ->where('expires_at', '>', now());
    }

    private function memberships(Project $project): Builder
    {
        return DB::table('memberships')->where('project_id', $project->id);
    }

    private function account(string $email, ?string $name, ?string $password): User
    {
        if (User::query()->where('email', $email)->exists()) {
            throw Refusal::because(
                'invitation.sign_in',
                sprintf('%s has an account: sign in with it, then open the invitation again.', $email),
            );
        }

        return $this->made($email, $name, $password);
    }

    /** A new account, for whoever runs Isleward; refused where there is one for that address. */
    public function person(string $email, ?string $name, ?string $password): User
    {
        $email = self::address($email);
        if (User::query()->where('email', $email)->exists()) {
            throw Refusal::because('account.there', "$email has an account already.", details: ['field' => 'email']);
        }

        return $this->made($email, $name, $password);
    }

    /** Whether nobody has an account yet. */
    public static function isEmpty(): bool
    {
        return ! User::query()->where('guest', false)->exists();
    }

    /** The first account of an empty installation, which whoever comes first makes; refused as soon as there is one. */
    public function first(string $email, ?string $name, ?string $password): User
    {
        return Cache::lock('first-account', 10)->block(5, function () use ($email, $name, $password): User {
            if (! self::isEmpty()) {
                throw Refusal::because('account.not_first', 'There is an account already: sign in, or ask whoever runs Isleward for one.');
            }

            return $this->person($email, $name, $password);
        });
    }

    private function made(string $email, ?string $name, ?string $password): User
    {
        return User::query()->create(['name' => self::name($name), 'email' => $email, 'password' => self::password($password)]);
    }

    /** An email address as it is kept. */
    public static function address(string $given): string
    {
        $email = Email::of($given);

        return mb_strlen($email) <= Email::LONGEST && filter_var($email, FILTER_VALIDATE_EMAIL, FILTER_FLAG_EMAIL_UNICODE) !== false
            ? $email
            : throw Refusal::because(
                'account.email', sprintf('“%s” is no email address.', mb_substr($email, 0, 60)), details: ['field' => 'email'],
            );
    }

    public static function name(?string $given): string
    {
        $name = trim((string) $given);

        return $name !== '' && mb_strlen($name) <= 80
            ? $name
            : throw Refusal::because('account.name', 'Say your name, as others will see it.', details: ['field' => 'name']);
    }

    /** One that is to be: as it is given. */
    public static function password(?string $given): string
    {
        return mb_strlen((string) $given) >= 10
            ? (string) $given
            : throw Refusal::because('account.password', 'A password has 10 characters at the least.', details: ['field' => 'password']);
    }
}
