<?php

declare(strict_types=1);

namespace App\Shop\Console;

use App\Shop\DemoLogins;
use App\Shop\Person;
use App\Shop\Setting;
use Illuminate\Console\Command;

final class WelcomeCommand extends Command
{
    protected $signature = 'odd-bench:welcome {address}';

    protected $description = 'Say where the site is and how to log in';

    public function handle(): int
    {
        $this->newLine();
        $this->line("Odd Bench runs at {$this->argument('address')}");
        if (Setting::isDemo()) {
            $this->line('This is the demo shop. Log in with the password '.DemoLogins::PASSWORD.' as');
            foreach (DemoLogins::all() as $login) {
                $this->line(sprintf('  %-6s %s, %s', $login->login, $login->name, $login->role));
            }
        } else {
            $this->line(Person::query()->exists()
                ? 'Log in there. A lead adds people on the page, under Shop.'
                : 'Open it in a browser: the first visit asks what the shop is called and who leads it.');
        }

        return self::SUCCESS;
    }
}
