<?php

declare(strict_types=1);

namespace Tests\Races;

/** Several processes that send writes at the same moment. */
final class Hands
{
    /** s ahead, so that every one of them is ready by then */
    private const READY_NS = 12_000_000;

    /** @var list<array{process: resource, in: resource, out: resource}> */
    private array $hands = [];

    /** @param  array<string, string>  $environment */
    public function __construct(int $count, array $environment)
    {
        for ($i = 0; $i < $count; $i++) {
            $process = proc_open(
                [PHP_BINARY, __DIR__.'/hand.php'],
                [['pipe', 'r'], ['pipe', 'w'], STDERR],
                $pipes,
                null,
                $environment + getenv(),
            );
            if ($process === false) {
                throw new \RuntimeException('A hand could not be started.');
            }
            $this->hands[] = ['process' => $process, 'in' => $pipes[0], 'out' => $pipes[1]];
        }
    }

    /**
     * @param  list<array{method: string, path: string, body: string, type: string, key: string, person: int}>  $writes  one for each hand
     * @return list<array{status: int, body: string, sum: string}>
     */
    public function press(array $writes): array
    {
        $at = hrtime(true) + self::READY_NS;
        foreach ($writes as $i => $write) {
            fwrite(
                $this->hands[$i]['in'],
                json_encode(['body' => base64_encode($write['body']), 'at' => $at] + $write, JSON_THROW_ON_ERROR)."\n",
            );
        }
        $answers = [];
        foreach (array_keys($writes) as $i) {
            $line = fgets($this->hands[$i]['out']);
            $answer = $line === false ? null : json_decode($line, true);
            $answers[] = is_array($answer) ? $answer : ['status' => 0, 'body' => 'the process died', 'sum' => ''];
        }

        return $answers;
    }

    public function __destruct()
    {
        foreach ($this->hands as $hand) {
            fclose($hand['in']);
            fclose($hand['out']);
            proc_close($hand['process']);
        }
    }
}
