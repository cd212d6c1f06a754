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
use Database\Seeders\Demo\KeptStory;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Schema;

final class DemoCommand extends Command
{
    protected $signature = 'odd-bench:demo
        {--if-empty : only where nobody is known yet}
        {--reset : whatever was done in it since}
        {--play : play the story again and leave it at its own end, on its own days}
        {--keep : keep the story that was played for the release that is being made}
        {--scale : as large as it may become, for measuring}
        {--today : move the dates of the story so that it ends today}
        {--printers : point its machines at where the simulated printers listen now}
        {--force : also when this is no demo shop}';

    protected $description = 'Fill the demo shop with its story';

    public function handle(DemoScale $scale): int
    {
        if (config('odd-bench.real') === true) {
            $this->error('This is the real shop. No demo command works here, whatever is said to it.');

            return self::FAILURE;
        }
        if ($this->option('printers') || $this->option('today') || $this->option('keep')) {
            return $this->withTheOneThere();
        }
        $empty = ! Schema::hasTable('people') || (Person::query()->doesntExist() && Machine::query()->doesntExist());
        if (! $empty && $this->option('if-empty')) {
            return self::SUCCESS;
        }
        if (! $empty && ! Setting::isDemo() && ! $this->option('force')) {
            $this->error('This is no demo shop: it holds real work. Nothing was changed. --force throws it away all the same.');

            return self::FAILURE;
        }
        $filled = WhileFilled::during(fn (): bool => $this->option('play') ? $this->play() : $this->putInPlace());
        if (! $filled) {
            return self::FAILURE;
        }
        $this->line(DemoShop::words());
        if ($this->option('scale')) {
            $scale->fill(fn (string $said) => $this->line($said));
        }

        return self::SUCCESS;
    }

    private function play(): bool
    {
        $this->call('migrate:fresh', ['--force' => true]);
        $this->laravel->make(DemoShop::class)->play();

        return true;
    }

    private function putInPlace(): bool
    {
        KeptStory::putInPlace();
        app()->forgetScopedInstances();
        if ($this->call('odd-bench:migrate') !== self::SUCCESS) {
            return false;
        }
        KeptStory::drawKeys();
        $this->laravel->make(DemoShop::class)->endToday();

        return true;
    }

    private function withTheOneThere(): int
    {
        if (! Schema::hasTable('settings') || ! Setting::isDemo()) {
            return self::SUCCESS;
        }
        if ($this->option('keep')) {
            $this->line(sprintf('Kept: %d kB.', (int) ceil(KeptStory::keep() / 1024)));
        } elseif ($this->option('printers')) {
            DemoPrinters::point();
        } else {
            DemoDates::move(Carbon::now('UTC'));
        }

        return self::SUCCESS;
    }
}
