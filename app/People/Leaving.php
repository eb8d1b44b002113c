<?php

declare(strict_types=1);

namespace App\People;

use App\Editing\Keeping;
use App\Models\Project;
use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Accounts that are deleted: what becomes of their projects is asked before; what they changed in others' stays. */
final readonly class Leaving
{
    private const DELETE = 'delete';

    public function __construct(private Keeping $keeping)
    {
    }

    /** @return list<array{id: string, name: string, others: list<array{id: int, name: string}>}> projects that nobody else owns */
    public function alone(User $user): array
    {
        $owned = DB::table('memberships')->where('user_id', $user->id)->where('role', Role::Owner->value)->pluck('project_id')->all();
        $in = DB::table('memberships')->join('users', 'users.id', '=', 'memberships.user_id')
            ->whereIn('project_id', $owned)
            ->where('users.id', '!=', $user->id)->where('users.guest', false)->orderBy('users.name')
            ->get(['memberships.project_id', 'memberships.role', 'users.id', 'users.name'])->groupBy('project_id');
        $out = [];
        foreach (DB::table('projects')->whereIn('id', $owned)->orderBy('name')->pluck('name', 'id') as $id => $name) {
            $others = $in->get((string) $id, collect());
            if (! $others->contains('role', Role::Owner->value)) {
                $out[] = ['id' => (string) $id, 'name' => (string) $name, 'others' => array_values($others->map(
                    static fn (\stdClass $o): array => ['id' => (int) $o->id, 'name' => (string) $o->name],
                )->all())];
            }
        }

        return $out;
    }

    /**
     * Deletes an account. Of each project that nobody else owns "heirs" says whose it is then, or "delete"; one that nobody shares is
     * deleted. Name and address go; in the changes of others' projects it is somebody who left.
     *
     * @throws Refusal then nothing is changed
     */
    public function leave(User $user, Fields $given): void
    {
        if (! Hash::check($given->string('password', ''), $user->getAuthPassword())) {
            throw Refusal::because('account.current', 'That is not your current password.', details: ['field' => 'password']);
        }
        $heirs = $given->has('heirs') ? $given->fields('heirs') : new Fields([]);
        DB::transaction(function () use ($user, $heirs): void {
            foreach ($this->alone($user) as $project) {
                $this->settle(Project::query()->findOrFail($project['id']), $project['others'], $heirs);
            }
            foreach (['memberships', 'presences', 'sessions', 'letters', 'invitations', 'password_resets'] as $table) {
                DB::table($table)->where('user_id', $user->id)->delete();
            }
            $user->fill([
                'name' => 'Somebody who left', 'email' => Str::lower(Str::ulid()->toBase32()).'@left.invalid',
                'password' => Str::random(60),
            ])->save();
        });
    }

    /** @param  list<array{id: int, name: string}>  $others */
    private function settle(Project $project, array $others, Fields $heirs): void
    {
        $what = $heirs->all()[$project->id] ?? ($others === [] ? self::DELETE : null);
        if ($what === self::DELETE) {
            $this->keeping->destroy($project);

            return;
        }
        if (! in_array($what, array_column($others, 'id'), true)) {
            throw Refusal::because('account.heir', sprintf(
                'Say who of those in it owns %s when you are gone, or that it is deleted.', $project->name,
            ), details: ['field' => "heirs.$project->id"]);
        }
        $project->members()->updateExistingPivot($what, ['role' => Role::Owner->value]);
    }
}
