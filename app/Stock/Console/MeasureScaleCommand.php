<?php

declare(strict_types=1);

namespace App\Stock\Console;

use App\Intake\Job;
use App\Machines\Machine;
use App\Shop\DemoLogins;
use App\Shop\Person;
use App\Shop\Setting;
use App\Stock\Orders\Supplier;
use App\Stock\Parts\Part;
use App\Stock\Shelf\ShelfQuery;
use App\Stock\Tables\ImportFile;
use GuzzleHttp\Cookie\CookieJar;
use Illuminate\Console\Command;
use Illuminate\Http\Client\PendingRequest;
use Illuminate\Http\Client\Pool;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;

/** How long the main screens’ answers take on the running site, against GET /session of the same server. */
final class MeasureScaleCommand extends Command
{
    protected $signature = 'odd-bench:measure-scale {--url=http://127.0.0.1:8420} {--runs=40}';

    protected $description = 'How long bench, shelf, a part, a machine and a job take on the running site';

    /** How many times as long as GET /session a screen’s answer may take, at the median and the 95th percentile. */
    private const TIMES = ['demo' => [3, 5], 'scale' => [5, 10]];

    private const SCALE_PARTS = 10_000;

    /** So many ask at the same time. */
    private const AT_ONCE = 4;

    /** At most so many milliseconds at the 95th percentile while four ask: one thing, a list that is asked by page, the books of a year. */
    private const ONE_MS = 60;

    private const LIST_MS = 100;

    private const BOOKS_MS = 300;

    private const LISTS = ['bench', 'shelf', 'shelf, two words', 'shelf, misspelt', 'machines', 'farm', 'what will fail'];

    private const ROWS = 20_000;

    /** @var list<int> when each screen was asked for */
    private array $asked = [];

    public function handle(ShelfQuery $shelf, ImportFile $import): int
    {
        if (! Setting::isDemo()) {
            $this->line('No demo shop: its screens are not measured, for nobody’s password is known.');

            return self::SUCCESS;
        }
        $parts = Part::query()->count();
        $this->line(sprintf(
            '%d parts, %d machines, %d jobs%s',
            $parts,
            Machine::query()->count(),
            Job::query()->count(),
            $parts < self::SCALE_PARTS ? ' (bin/odd-bench demo --scale makes it as large as a shop may become)' : '',
        ));
        $http = $this->loggedIn();
        [$median, $p95] = self::TIMES[$parts < self::SCALE_PARTS ? 'demo' : 'scale'];
        $bare = $this->times(static fn () => $http->get('/api/v1/session')->throw());
        $rows = [['who is here', ...$this->figures($bare), '', '', sprintf('%.1f', $this->atOnce($http, '/session'))]];
        foreach ($this->screens() as $name => $path) {
            $this->pause();
            $times = $this->times(static fn () => $http->get("/api/v1{$path}")->throw());
            $rows[] = [
                $name,
                ...$this->figures($times),
                self::ratio($times['median'] / $bare['median'], $median),
                self::ratio($times['p95'] / $bare['p95'], $p95),
                self::within($this->atOnce($http, $path), match (true) {
                    str_starts_with($name, 'the books') => self::BOOKS_MS,
                    in_array($name, self::LISTS, true) => self::LIST_MS,
                    default => self::ONE_MS,
                }),
            ];
        }
        $this->table(
            ['through the web server', 'median ms', '95th percentile ms', 'against who is here', 'at the 95th', 'four at once, 95th ms'],
            $rows,
        );
        $before = hrtime(true);
        $http->get('/api/v1/orders')->throw();
        $this->line(sprintf('order proposal for the whole shelf: %.2f s (asked: under 5)', (hrtime(true) - $before) / 1e9));

        $before = hrtime(true);
        $this->callSilently('odd-bench:lives');
        $this->line(sprintf(
            'lives of %d positions worked out anew, and what will fail: %.1f s (asked: under 60)',
            DB::table('position_risks')->count(),
            (hrtime(true) - $before) / 1e9,
        ));

        $this->search($shelf);
        $this->table20000($import);

        return self::SUCCESS;
    }

    private static function ratio(float $times, int $asked): string
    {
        return sprintf('× %.1f %s', $times, $times <= $asked ? '' : "(asked: {$asked})");
    }

    /** No more is asked in a minute than one person may: a page that asks more is turned away. */
    private function pause(): void
    {
        $this->asked[] = time();
        $a = 2 * max(10, (int) $this->option('runs')) + self::AT_ONCE + 1;
        $lately = array_filter($this->asked, static fn (int $at): bool => $at > time() - 61);
        if ((count($lately) + 1) * $a > Config::integer('odd-bench.requests_a_minute')) {
            sleep(61 - (time() - min($lately)));
            $this->asked = [];
        }
    }

    private static function within(float $ms, int $asked): string
    {
        return sprintf('%.1f %s', $ms, $ms <= $asked ? '' : "(asked: {$asked})");
    }

    /** How long an answer takes while four are asked for at the same time: milliseconds at the 95th percentile. */
    private function atOnce(PendingRequest $http, string $path): float
    {
        $cookies = $http->getOptions()['cookies'];
        $times = [];
        for ($i = 0; $i < max(10, (int) $this->option('runs')); $i += self::AT_ONCE) {
            $answers = Http::pool(fn (Pool $pool): array => array_map(
                fn () => $pool->withOptions(['cookies' => $cookies])->acceptJson()->get($this->url("/api/v1{$path}")),
                range(1, self::AT_ONCE),
            ));
            foreach ($answers as $answer) {
                $times[] = 1000 * ($answer instanceof Response ? (float) ($answer->throw()->handlerStats()['total_time'] ?? INF) : INF);
            }
        }
        sort($times);

        return $times[(int) floor(0.95 * (count($times) - 1))];
    }

    private function search(ShelfQuery $shelf): void
    {
        foreach ([
            'two words' => static fn (): mixed => $shelf->saying('hardened nozzle')->orderBy('bin')->orderBy('number')->limit(60)->get(),
            'misspelt' => static fn (): mixed => $shelf->like('hardned nozel'),
        ] as $how => $ask) {
            $times = $this->times($ask);
            $this->line(sprintf(
                'search itself, %s: median %.1f ms, 95th percentile %.1f ms (asked: under 50)',
                $how,
                $times['median'],
                $times['p95'],
            ));
        }
    }

    /** A table of so many parts tried and taken in; what it brings is taken back. */
    private function table20000(ImportFile $import): void
    {
        $table = "number;name;class;bin;words;supplier;supplier_number;pack;pack_cost\n";
        $supplier = Supplier::query()->firstOrFail()->name;
        for ($i = 0; $i < self::ROWS; $i++) {
            $table .= sprintf(
                "MEAS-%05d;Measured part %d;nozzle;M%d;one of many;%s;MM%05d;10;%d,50\n",
                $i,
                $i,
                intdiv($i, 10),
                $supplier,
                $i,
                1 + $i % 90,
            );
        }
        DB::beginTransaction();
        try {
            memory_reset_peak_usage();
            $before = hrtime(true);
            $file = $import->keep('parts', 'measured.csv', $table, Person::query()->firstOrFail());
            $tried = hrtime(true);
            $import->apply($file, false, Person::query()->firstOrFail());
            $this->line(sprintf(
                'a table of %d parts: tried in %.1f s, taken in in %.1f s (asked: under 30 together), most memory %.0f MB (asked: 128)',
                self::ROWS,
                ($tried - $before) / 1e9,
                (hrtime(true) - $tried) / 1e9,
                memory_get_peak_usage() / 1e6,
            ));
        } finally {
            DB::rollBack();
        }
    }

    /** @return array<string, string> */
    private function screens(): array
    {
        $part = Part::query()->orderByDesc('id')->firstOrFail();
        $job = Job::query()->whereNull('finished_at')->orderByDesc('id')->firstOrFail();
        $find = Job::query()->whereNull('finished_at')->where('station', 'diagnosis')->orderByDesc('id')->first();
        $word = explode(' ', $part->name)[0];

        return [
            'bench' => '/bench',
            'shelf' => '/parts',
            'shelf, two words' => '/parts?text='.rawurlencode("{$word} ".substr($part->number, -3)),
            'shelf, misspelt' => '/parts?text=hardned%20nozel',
            'a part' => "/parts/{$part->number}",
            'a machine' => "/machines/{$job->machine->tag}",
            'a job' => "/jobs/{$job->id}",
            ...($find === null ? [] : ['Find' => "/jobs/{$find->id}/diagnosis", 'its money' => "/jobs/{$find->id}/money"]),
            'the books of this year' => '/money/ledger?from='.now()->startOfYear()->toDateString(),
            'buying' => '/money/offers',
            'machines' => '/machines',
            'farm' => '/fleet/farm',
            'what will fail' => '/fleet/risks',
        ];
    }

    private function loggedIn(): PendingRequest
    {
        $jar = new CookieJar;
        $http = Http::withOptions(['cookies' => $jar])->baseUrl($this->url(''))->acceptJson()->timeout(60);
        $http->get('/')->throw();
        $token = $jar->getCookieByName('XSRF-TOKEN')?->getValue() ?? '';
        $http->withHeaders(['X-XSRF-TOKEN' => rawurldecode($token)])
            ->post('/api/v1/session', ['login' => 'tove', 'password' => DemoLogins::PASSWORD])
            ->throw();

        return $http;
    }

    private function url(string $path): string
    {
        return rtrim(is_string($this->option('url')) ? $this->option('url') : '', '/').$path;
    }

    /**
     * @param  callable(): mixed  $ask
     * @return array{median: float, p95: float}
     */
    private function times(callable $ask): array
    {
        $ask();
        $times = [];
        for ($i = 0; $i < max(10, (int) $this->option('runs')); $i++) {
            $before = hrtime(true);
            $ask();
            $times[] = (hrtime(true) - $before) / 1e6;
        }
        sort($times);

        return ['median' => $times[intdiv(count($times), 2)], 'p95' => $times[(int) floor(0.95 * (count($times) - 1))]];
    }

    /**
     * @param  array{median: float, p95: float}  $times
     * @return array{string, string}
     */
    private function figures(array $times): array
    {
        return [sprintf('%.1f', $times['median']), sprintf('%.1f', $times['p95'])];
    }
}
