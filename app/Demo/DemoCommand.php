<?php

declare(strict_types=1);

namespace App\Demo;

use App\Machines\Machine;
use App\Shop\Person;
use App\Shop\Setting;
use Database\Seeders\Demo\DemoDates;
use Database\Seeders\Demo\DemoPrinters;
use Database\Seeders\Demo\DemoScale;
use Database\Seeders\Demo\DemoShop;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;

final class DemoCommand extends Command
{
    protected $signature = 'odd-bench:demo {--if-empty} {--reset} {--scale : as large as it may become, for measuring} {--today : move the dates of the played story so that it ends today} {--printers : point its machines at where the simulated printers listen now} {--force : also when this is no demo shop}';

    protected $description = 'Play the demo shop from its seed';

    public function handle(DemoShop $shop, DemoScale $scale): int
    {
        if (config('odd-bench.real') === true) {
            $this->error('This is the real shop. No demo command works here, whatever is said to it.');

            return self::FAILURE;
        }
        if ($this->option('printers') || $this->option('today')) {
            if (Setting::isDemo()) {
                $this->option('printers') ? DemoPrinters::point() : DemoDates::move(Carbon::now('UTC'));
            }

            return self::SUCCESS;
        }
        $empty = Person::query()->doesntExist() && Machine::query()->doesntExist();
        if (! $empty && $this->option('if-empty')) {
            return self::SUCCESS;
        }
        if (! $empty && ! Setting::isDemo() && ! $this->option('force')) {
            $this->error('This is no demo shop: it holds real work. Nothing was changed. --force throws it away all the same.');

            return self::FAILURE;
        }
        if (! $empty) {
            $this->call('migrate:fresh', ['--force' => true]);
        }
        $shop->play(fn (string $said) => $this->line($said));
        if ($this->option('scale')) {
            $scale->fill(fn (string $said) => $this->line($said));
        }

        return self::SUCCESS;
    }
}
