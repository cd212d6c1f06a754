<?php

declare(strict_types=1);

namespace Tests\Drill;

use RuntimeException;

/**
 * What comes from the network of a shop, meant or not: half-open callers, guessed names, big files, sessions that are over; and
 * its backups.
 */
final readonly class Siege
{
    /** of looks at Bench: half of them within so many ms; a taken-over page answers after its takers, in tens of seconds */
    private const HALF_WITHIN_MS = 600.0;

    /** and none that waits behind somebody: a start from cold or a busy machine is not that */
    private const ALL_WITHIN_MS = 4_000.0;

    public function __construct(private Site $site)
    {
    }

    /** Callers that say half a sentence and stay. */
    public function halfOpen(): string
    {
        $open = [];
        for ($i = 0; $i < 60; $i++) {
            $socket = stream_socket_client(
                'tcp://'.parse_url($this->site->url, PHP_URL_HOST).':'.parse_url($this->site->url, PHP_URL_PORT),
                $code,
                $message,
                2,
            );
            if ($socket === false) {
                throw new RuntimeException("the {$i}th caller is not even heard: {$message}");
            }
            fwrite($socket, "GET /api/v1/bench HTTP/1.1\r\nHost: localhost\r\nX-Half: ");
            stream_set_blocking($socket, false);
            $open[] = $socket;
        }
        $bench = $this->looks(20);
        $began = microtime(true);
        while ($open !== [] && microtime(true) - $began < 30) {
            foreach ($open as $i => $socket) {
                fread($socket, 512);
                if (feof($socket)) {
                    fclose($socket);
                    unset($open[$i]);
                }
            }
            usleep(100_000);
        }
        $this->must($open === [], sprintf('%d of 60 are still held after 30 s', count($open)));
        $said = $this->beside($bench);

        return sprintf('60 shown out after %.0f s; %s', microtime(true) - $began, $said);
    }

    /** Names that somebody else made point here. */
    public function names(): string
    {
        $port = (int) parse_url($this->site->url, PHP_URL_PORT);
        $status = static function (string $host) use ($port): int {
            $context = stream_context_create(['http' => ['header' => "Host: {$host}", 'ignore_errors' => true, 'timeout' => 5]]);
            file_get_contents("http://127.0.0.1:{$port}/api/v1/session", false, $context);

            return (int) substr($http_response_header[0] ?? '', 9, 3);
        };
        foreach ([
            'elsewhere.example',
            '127.0.0.1.elsewhere.example',
            'localhost.elsewhere.example',
            '10.11.12.13',
            '2130706433',
            '[::1]',
        ] as $host) {
            $this->must($status($host) === 421, "as {$host} it answers {$status($host)}");
        }
        foreach (['localhost', "localhost:{$port}", '127.0.0.1', 'LOCALHOST'] as $host) {
            $this->must($status($host) === 200, "as {$host} it answers {$status($host)}");
        }

        return 'six names that are none are 421, its own are 200';
    }

    /** Eight files of 31 MB to be measured at the same moment. */
    public function bigFiles(bool $long): string
    {
        // two are worked on at once, so the third already waits
        [$files, $mb] = $long ? [8, 31] : [3, 8];
        $line = "G1 X10.5 Y20.25 E0.0123 F1800\nG1 X110.5 Y20.25 E4.0123\n";
        $file = "M83\nG90\n".str_repeat($line, intdiv($mb * 1024 * 1024, strlen($line)));
        $children = [];
        for ($i = 0; $i < $files; $i++) {
            $child = pcntl_fork();
            if ($child === 0) {
                $desk = new Desk($this->site->url, 'drill', Site::env('DRILL_PASSWORD'));
                $status = $desk->send('POST', '/instruments/gcode', $file, within: 280)[0];
                file_put_contents(sys_get_temp_dir()."/big-{$i}", (string) $status);
                posix_kill((int) getmypid(), SIGKILL);
            }
            $children[] = $child;
        }
        usleep(3_000_000);
        $bench = $this->looks(40);
        foreach ($children as $child) {
            pcntl_waitpid($child, $status);
        }
        $statuses = [];
        for ($i = 0; $i < $files; $i++) {
            $statuses[] = (int) @file_get_contents(sys_get_temp_dir()."/big-{$i}");
            @unlink(sys_get_temp_dir()."/big-{$i}");
        }
        $this->must(array_diff($statuses, [200, 422, 503]) === [], 'they are answered '.implode(' ', $statuses));
        $said = $this->beside($bench);

        return sprintf('%d × %d MB answered %s; %s', $files, $mb, implode(' ', array_unique($statuses)), $said);
    }

    /** A day at the bench: nobody stays in longer than twelve hours, however busy. */
    public function oldSessions(): string
    {
        $desk = new Desk($this->site->url, 'drill', Site::env('DRILL_PASSWORD'));
        $at = function (string $offset) use ($desk): int {
            file_put_contents(Site::env('DRILL_CLOCK'), "{$offset}\n");

            return $desk->send('GET', '/bench')[0];
        };
        try {
            $said = [$at('+0s'), $at('+21600s'), $at('+42000s'), $at('+43300s')];
        } finally {
            file_put_contents(Site::env('DRILL_CLOCK'), "+0s\n");
        }
        $this->must($said === [200, 200, 200, 401], 'at 0, 6, 11.7 and 12.03 hours: '.implode(' ', $said));

        return 'busy all day, and out after twelve hours';
    }

    /** A backup while a shop writes: all that was answered before it began is in it, and a spoiled one is known. */
    public function backup(string $part): string
    {
        $acked = (string) tempnam(sys_get_temp_dir(), 'acked');
        touch("{$acked}.go");
        $writer = pcntl_fork();
        if ($writer === 0) {
            $desk = new Desk($this->site->url, 'drill', Site::env('DRILL_PASSWORD'));
            for ($n = 1; file_exists("{$acked}.go"); $n++) {
                if ($desk->write(
                    'POST',
                    "/parts/{$part}/movements",
                    ['kind' => 'received', 'quantity' => 1, 'unitCostMinor' => 120, 'note' => "b{$n}"],
                )[0] === 200) {
                    file_put_contents($acked, "b{$n}\n", FILE_APPEND);
                }
            }
            posix_kill((int) getmypid(), SIGKILL);
        }
        $this->site->wait(static fn (): bool => count(file($acked) ?: []) > 25, 30);
        $before = array_filter(explode("\n", (string) file_get_contents($acked)));
        $began = hrtime(true);
        [$code, $said] = $this->artisan('odd-bench:backup');
        $took = (hrtime(true) - $began) / 1e9;
        unlink("{$acked}.go");
        pcntl_waitpid($writer, $status);
        $this->must($code === 0, "no backup: {$said}");
        $archive = basename(trim($said));
        $kept = $this->notes($archive);
        $this->must(array_diff($before, $kept) === [], 'a write that was answered before it began is not in it');
        $this->must($kept === array_map(static fn (int $n): string => "b{$n}", range(1, count($kept))), 'what is in it has gaps');
        $this->must(
            $this->site->ask('SELECT count(*) FROM backups WHERE proved_at IS NOT NULL AND problem IS NULL')[0] >= 1,
            'it was not proved',
        );

        return sprintf(
            'made and proved in %.1f s; %d writes answered before it and %d during it are in it, without a gap',
            $took,
            count($before),
            count($kept) - count($before),
        );
    }

    /** @return list<string> notes of the movements that are in a backup, in their order */
    private function notes(string $archive): array
    {
        $folder = Site::env('DRILL_BACKUPS');
        $out = (string) shell_exec(sprintf(
            'cd %s && tar -xOf %s database.dump > /tmp/drill.dump && sha=$(tar -xOf %s sums | grep database.dump | cut -d" " -f1) && echo "$sha  /tmp/drill.dump" | sha256sum -c --quiet && /usr/lib/postgresql/15/bin/pg_restore --data-only --table=movements -f - /tmp/drill.dump; rm -f /tmp/drill.dump',
            escapeshellarg($folder),
            escapeshellarg($archive),
            escapeshellarg($archive),
        ));
        preg_match_all('/\tb(\d+)\t/', $out, $found);
        $numbers = array_map(intval(...), $found[1]);
        sort($numbers);

        return array_map(static fn (int $n): string => "b{$n}", $numbers);
    }

    /** @return array{int, string} */
    private function artisan(string ...$words): array
    {
        exec(Site::env('DRILL_ARTISAN').' '.implode(' ', array_map(escapeshellarg(...), $words)).' 2>&1', $lines, $code);

        return [$code, implode("\n", $lines)];
    }

    /** @return non-empty-list<float> ms of so many looks at Bench, the quickest first */
    private function looks(int $times): array
    {
        $took = [];
        do {
            $began = hrtime(true);
            $status = $this->site->desk->send('GET', '/bench')[0];
            $this->must($status === 200, "Bench answers {$status}");
            $took[] = (hrtime(true) - $began) / 1e6;
            usleep(50_000);
        } while (count($took) < $times);
        sort($took);

        return $took;
    }

    /** @param  non-empty-list<float>  $took  ms, the quickest first */
    private function beside(array $took): string
    {
        $said = sprintf('Bench took %.0f ms beside them, %.0f ms at most', $took[intdiv(count($took), 2)], $took[count($took) - 1]);
        $this->must($took[intdiv(count($took), 2)] < self::HALF_WITHIN_MS && $took[count($took) - 1] < self::ALL_WITHIN_MS, $said);

        return $said;
    }

    private function must(bool $holds, string $otherwise): void
    {
        if (! $holds) {
            throw new RuntimeException($otherwise);
        }
    }
}
