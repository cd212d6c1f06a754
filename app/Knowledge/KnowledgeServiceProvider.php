<?php

declare(strict_types=1);

namespace App\Knowledge;

use Illuminate\Support\Facades\Log;
use Illuminate\Support\ServiceProvider;
use OddBench\Knowledge\BadKnowledge;
use OddBench\Knowledge\Knowledge;

final class KnowledgeServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(KnowledgeFiles::class, function (): KnowledgeFiles {
            /** @var list<string> $folders */
            $folders = config('odd-bench.knowledge');

            return new KnowledgeFiles($folders);
        });
        $this->app->singleton(Knowledge::class, fn (): Knowledge => $this->kept($this->app->make(KnowledgeFiles::class)));
    }

    /** Read anew when a file changed; a running site keeps the last good knowledge when the new one has mistakes. */
    private function kept(KnowledgeFiles $files): Knowledge
    {
        $store = storage_path('app/knowledge.ser');
        $print = $files->print();
        $last = is_readable($store) ? @unserialize((string) file_get_contents($store)) : null;
        if (is_array($last) && ($last['print'] ?? null) === $print && $last['knowledge'] instanceof Knowledge) {
            return $last['knowledge'];
        }
        try {
            $knowledge = $files->read();
        } catch (BadKnowledge $e) {
            if (is_array($last) && $last['knowledge'] instanceof Knowledge) {
                Log::error("The knowledge files have mistakes; the last good ones are used.\n{$e->getMessage()}");

                return $last['knowledge'];
            }
            throw $e;
        }
        if (is_dir(dirname($store)) && is_writable(dirname($store))) {
            file_put_contents("{$store}.new", serialize(['print' => $print, 'knowledge' => $knowledge]));
            rename("{$store}.new", $store);
        }

        return $knowledge;
    }
}
