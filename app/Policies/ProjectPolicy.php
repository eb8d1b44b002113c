<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Project;
use App\Models\Role;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Who may see, edit and remove a project. To strangers a project does not exist. */
final class ProjectPolicy
{
    public function view(User $user, Project $project): Response
    {
        return self::role($user, $project) === null ? Response::denyAsNotFound() : Response::allow();
    }

    public function edit(User $user, Project $project): Response
    {
        $role = self::role($user, $project);

        return match (true) {
            $role === null => Response::denyAsNotFound(),
            $role->mayEdit() => Response::allow(),
            default => Response::deny('You can view this project but not change it: ask its owner to make you an editor.'),
        };
    }

    /** Who comes in and who goes. */
    public function manage(User $user, Project $project): Response
    {
        return match (self::role($user, $project)) {
            null => Response::denyAsNotFound(),
            Role::Owner => Response::allow(),
            default => Response::deny('Only an owner may invite people, make links and say who may do what.'),
        };
    }

    /** Also of one in the bin. */
    public function remove(User $user, Project $project): Response
    {
        return match ($project->roleOf($user)) {
            null => Response::denyAsNotFound(),
            Role::Owner => Response::allow(),
            default => Response::deny('Only its owner may archive a project or remove it.'),
        };
    }

    /** None in a project that is in the bin. */
    private static function role(User $user, Project $project): ?Role
    {
        return $project->binned_at === null ? $project->roleOf($user) : null;
    }
}
