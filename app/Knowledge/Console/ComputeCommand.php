<?php

declare(strict_types=1);

namespace App\Knowledge\Console;

use App\Instruments\Files;
use App\Knowledge\KnowledgeFiles;
use Illuminate\Console\Command;
use OddBench\Computation\Catalogue;
use OddBench\Input\InputError;
use OddBench\Input\JsonObject;

final class ComputeCommand extends Command
{
    protected $signature = 'odd-bench:compute {name?} {--list}';

    protected $description = 'Run a computation: JSON on standard input, JSON on standard output';

    public function handle(KnowledgeFiles $files): int
    {
        $catalogue = Catalogue::of($files->read());
        if ($this->option('list')) {
            $this->say(implode("\n", $catalogue->names()));

            return 0;
        }
        try {
            $computation = $catalogue->named((string) $this->argument('name'));
            $this->say($this->json($computation->compute(Files::opened($this->input()))));

            return 0;
        } catch (InputError $e) {
            $this->say($this->json(['error' => ['field' => $e->field, 'message' => $e->getMessage()]]));

            return 2;
        }
    }

    /** @return array<array-key, mixed> */
    private function input(): array
    {
        return JsonObject::decode((string) stream_get_contents(STDIN, 64 * 1024 * 1024));
    }

    /** @param  array<string, mixed>  $value */
    private function json(array $value): string
    {
        return json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR);
    }

    private function say(string $text): void
    {
        $this->output->getOutput()->write($text."\n", false, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
    }
}
