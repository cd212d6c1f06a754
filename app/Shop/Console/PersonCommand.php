<?php

declare(strict_types=1);

namespace App\Shop\Console;

use App\Shop\Person;
use App\Shop\Role;
use Illuminate\Console\Command;

final class PersonCommand extends Command
{
    protected $signature = 'odd-bench:person {login} {name} {role : technician, lead, counter or read-only}';

    protected $description = 'Add a person, or give one a new name, role and password';

    public function handle(): int
    {
        $role = Role::tryFrom((string) $this->argument('role'));
        if ($role === null) {
            $this->error('The role is technician, lead, counter or read-only.');

            return self::FAILURE;
        }
        $password = $this->input->isInteractive() ? (string) $this->secret('Password (empty: one is made)') : '';
        if ($password === '') {
            $password = bin2hex(random_bytes(6));
            $this->line("Password: {$password}");
        }
        Person::query()->updateOrCreate(
            ['login' => mb_strtolower((string) $this->argument('login'))],
            ['name' => (string) $this->argument('name'), 'role' => $role, 'password' => $password, 'left_at' => null],
        );
        $this->line("{$this->argument('name')} can log in as {$this->argument('login')}.");

        return self::SUCCESS;
    }
}
