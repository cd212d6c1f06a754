<?php

declare(strict_types=1);

namespace Tests\Core;

use App\Knowledge\KnowledgeFiles;
use OddBench\Knowledge\Knowledge;

/** The knowledge that ships, read once. */
final class TradeKnowledge
{
    private static ?Knowledge $knowledge = null;

    public static function read(): Knowledge
    {
        return self::$knowledge ??= self::files()->read();
    }

    public static function files(): KnowledgeFiles
    {
        return new KnowledgeFiles([dirname(__DIR__, 2).'/knowledge']);
    }
}
