<?php

declare(strict_types=1);

namespace Tests\Drill;

use PDO;

/** A thousand numbered writes through two page servers while the primary database, and then a page server, is killed. */
final class Rehearsal
{
    private const WRITES = 1000;

    private const PRIMARY_DIES_AT = 300;

    private const PAGE_DIES_AT = 700;

    private float $longest = 0.0;

    private int $again = 0;

    public function play(): bool
    {
        $desk = new Desk(Site::env('DRILL_URL'), 'rehearsal', Site::env('DRILL_PASSWORD'));
        $number = 'R'.random_int(1000, 9999);
        $desk->done('POST', '/parts', ['number' => $number, 'name' => 'Fan', 'class' => 'heat-break-fan', 'bin' => 'R1']);
        $acked = [];
        for ($n = 1; $n <= self::WRITES; $n++) {
            if ($n === self::PRIMARY_DIES_AT) {
                $this->killPrimary();
            }
            if ($n === self::PAGE_DIES_AT) {
                $this->supervise('stop', 'php-1');
            }
            $began = microtime(true);
            [$status, $answer] = $desk->write(
                'POST',
                "/parts/{$number}/movements",
                ['kind' => 'received', 'quantity' => 1, 'unitCostMinor' => 100, 'note' => "w{$n}"],
                120,
            );
            $this->longest = max($this->longest, microtime(true) - $began);
            if ($status === 200) {
                $acked[] = "w{$n}";
            } else {
                printf("write %d: %d %s\n", $n, $status, json_encode($answer, JSON_UNESCAPED_UNICODE));
            }
        }
        $this->again = $desk->sentAgain;

        return $this->say($acked, $this->kept());
    }

    /**
     * @param  list<string>  $acked
     * @param  list<string>  $kept
     */
    private function say(array $acked, array $kept): bool
    {
        $lost = count(array_diff($acked, $kept));
        $twice = count($kept) - count(array_unique($kept));
        printf("%-34s %d of %d\n", 'writes that were answered', count($acked), self::WRITES);
        printf("%-34s %d\n", 'of these not there', $lost);
        printf("%-34s %d\n", 'there twice', $twice);
        printf("%-34s %d times\n", 'sent again by the page', $this->again);
        printf("%-34s %.1f s\n", 'the longest anybody waited', $this->longest);
        printf(
            "%-34s %s\n",
            'leads now',
            $this->status('B', 'primary') === 200 ? 'the one that was the standby' : 'the one that led before',
        );
        $this->supervise('start', 'patroni-a');
        for ($i = 0; $i < 240 && $this->status('A', 'sync') !== 200; $i++) {
            usleep(500_000);
        }
        $back = $this->status('A', 'sync') === 200;
        printf("%-34s %s\n", 'the one that was killed', $back ? 'is back, and follows' : 'does not follow');
        $held = count($acked) === self::WRITES && $lost === 0 && $twice === 0 && $back;
        echo $held ? "All of it held.\n" : "It did not hold.\n";

        return $held;
    }

    /** As a machine that loses its supply: the database and what looks after it, at once, and nothing starts them again. */
    private function killPrimary(): void
    {
        $pid = (int) $this->supervise('pid', 'patroni-a');
        $data = Site::env('DRILL_STATE').'/db/pg-a/postmaster.pid';
        $master = (int) (file($data)[0] ?? 0);
        foreach ($this->children($master) as $child) {
            posix_kill($child, SIGKILL);
        }
        posix_kill($master, SIGKILL);
        posix_kill($pid, SIGSTOP);
        $this->supervise('signal', 'KILL', 'patroni-a');
        $this->supervise('stop', 'patroni-a');
    }

    /** @return list<int> */
    private function children(int $of): array
    {
        return array_values(array_filter(array_map(intval(...), explode("\n", (string) shell_exec("pgrep -P {$of}")))));
    }

    /** @return list<string> */
    private function kept(): array
    {
        $pdo = new PDO(
            'pgsql:host=127.0.0.1;port='.Site::env('DB_PORT').';dbname=odd_bench',
            'odd_bench',
            Site::env('DB_PASSWORD'),
            [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
        );
        $asked = $pdo->query("SELECT note FROM movements WHERE note ~ '^w[0-9]+$'");

        return $asked === false ? [] : array_map(strval(...), $asked->fetchAll(PDO::FETCH_COLUMN));
    }

    private function status(string $node, string $path): int
    {
        $context = stream_context_create(['http' => ['timeout' => 2, 'ignore_errors' => true]]);
        @file_get_contents('http://127.0.0.1:'.Site::env("REST_PORT_{$node}")."/{$path}", false, $context);

        return (int) substr($http_response_header[0] ?? '', 9, 3);
    }

    private function supervise(string ...$words): string
    {
        return trim((string) shell_exec(implode(
            ' ',
            array_map(escapeshellarg(...), ['supervisorctl', '-c', Site::env('DRILL_SUPERVISOR'), ...$words]),
        ).' 2>&1'));
    }
}
