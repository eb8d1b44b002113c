<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\User;
use App\People\Email;
use App\People\Passwords;
use App\People\People;
use Illuminate\Console\Command;
use Illuminate\Support\Str;
use Isleward\Core\Measure\Refusal;

/** Makes accounts for people, for whoever runs Isleward. */
final class PersonCommand extends Command
{
    protected $signature = 'isleward:person {do : add, or reset for a link that sets a new password} {email} {--name= : as others will see it} {--password= : 10 characters or more; made and printed where it is left out}';

    protected $description = 'Make an account';

    public function handle(People $people, Passwords $passwords): int
    {
        if ($this->argument('do') === 'reset') {
            return $this->reset($passwords);
        }
        if ($this->argument('do') !== 'add') {
            $this->error('People are added or given a new password: isleward person add EMAIL --name "…".');

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

    private function reset(Passwords $passwords): int
    {
        $email = $this->argument('email');
        $user = User::query()->where('email', Email::of(is_string($email) ? $email : ''))->where('guest', false)->first();
        if ($user === null) {
            $this->error('Nobody has an account with that email.');

            return self::FAILURE;
        }
        $this->line("Within an hour, once: {$passwords->link($user, config()->string('app.url'))}");

        return self::SUCCESS;
    }
}
