<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Fleet\Lives\KeepLives;
use App\Fleet\Lives\LifeFit;
use App\Shop\ShopDay;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;

/** The night’s work: lives from all that was seen, then what is likely to fail. */
final class WorkOutCommand extends Command
{
    protected $signature = 'odd-bench:lives
        {--changed : only the machines where something changed since}
        {--due : only when it was not done today}';

    protected $description = 'Work out how long parts last and what is likely to fail';

    public function handle(KeepLives $lives, KeepRisks $risks, ShopDay $day): int
    {
        if ($this->option('changed')) {
            $this->line(sprintf('%d machines brought up to date.', $risks->catchUp()));

            return self::SUCCESS;
        }
        $last = LifeFit::query()->max('at');
        if ($this->option('due') && is_string($last) && Carbon::parse($last)->gte($day->began())) {
            return self::SUCCESS;
        }
        $started = microtime(true);
        $groups = $lives->workOut();
        $fitted = microtime(true);
        $machines = $risks->all();
        $this->line(sprintf(
            'Lives of %d groups in %.1f s, risks of %d machines in %.1f s.',
            $groups,
            $fitted - $started,
            $machines,
            microtime(true) - $fitted,
        ));

        return self::SUCCESS;
    }
}
