<?php

declare(strict_types=1);

namespace App\Knowledge\Console;

use App\Knowledge\KnowledgeFiles;
use Illuminate\Console\Command;
use OddBench\Knowledge\BadKnowledge;

final class KnowledgeCommand extends Command
{
    protected $signature = 'odd-bench:knowledge {what : check}';

    protected $description = 'Look through the knowledge files for mistakes';

    public function handle(KnowledgeFiles $files): int
    {
        if ($this->argument('what') !== 'check') {
            $this->error('Say: knowledge check');

            return self::FAILURE;
        }
        try {
            $knowledge = $files->read();
        } catch (BadKnowledge $e) {
            $this->line($e->getMessage());
            $this->error(count($e->mistakes).' mistakes.');

            return self::FAILURE;
        }
        $this->line(sprintf(
            '%d findings, %d faults, %d checks, %d proofs, %d families, %d guides: no mistakes.',
            count($knowledge->findings),
            count($knowledge->faults),
            count($knowledge->checks),
            count($knowledge->proofs),
            count($knowledge->families),
            count($knowledge->guides),
        ));

        return self::SUCCESS;
    }
}
