<?php

declare(strict_types=1);

namespace App\Computation;

use App\Instruments\Files;
use App\Knowledge\KnowledgeFiles;
use Illuminate\Console\Command;
use OddBench\Computation\Answer;
use OddBench\Computation\Catalogue;

final class ComputeCommand extends Command
{
    protected $signature = 'odd-bench:compute {name?} {--list}';

    /** One more than is taken, so that it shows. */
    private const MOST_BYTES = 17 * 1024 * 1024;

    protected $description = 'Run a computation: JSON on standard input, JSON on standard output';

    public function handle(KnowledgeFiles $files): int
    {
        $catalogue = Catalogue::of($files->read());
        if ($this->option('list')) {
            $this->say(implode("\n", $catalogue->names()));

            return 0;
        }
        $answer = Answer::to(
            $catalogue,
            (string) $this->argument('name'),
            (string) stream_get_contents(STDIN, self::MOST_BYTES),
            Files::opened(...),
        );
        $this->say($answer->json);

        return $answer->code;
    }

    private function say(string $text): void
    {
        $this->output->getOutput()->write($text."\n", false, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
    }
}
