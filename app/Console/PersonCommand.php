<?php

declare(strict_types=1);

namespace App\Console;

use App\People\People;
use Illuminate\Console\Command;
use Illuminate\Support\Str;
use Isleward\Core\Measure\Refusal;

/** Makes accounts for people, for whoever runs Isleward. */
final class PersonCommand extends Command
{
    protected $signature = 'isleward:person {do : add} {email} {--name= : as others will see it} {--password= : 10 characters or more; made and printed where it is left out}';

    protected $description = 'Make an account';

    public function handle(People $people): int
    {
        if ($this->argument('do') !== 'add') {
            $this->error('People are added: isleward person add EMAIL --name "…".');

            return self::INVALID;
        }
        $email = $this->argument('email');
        [$name, $given] = [$this->option('name'), $this->option('password')];
        $password = is_string($given) ? $given : Str::password(16, symbols: false);
        try {
            $user = $people->person(is_string($email) ? $email : '', is_string($name) ? $name : null, $password);
        } catch (Refusal $refusal) {
            $this->error($refusal->getMessage());

            return self::FAILURE;
        }
        $with = is_string($given) ? '.' : ", with the password $password";
        $this->line("$user->name may sign in as $user->email$with");

        return self::SUCCESS;
    }
}
