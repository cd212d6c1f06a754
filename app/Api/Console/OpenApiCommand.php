<?php

declare(strict_types=1);

namespace App\Api\Console;

use App\Api\DescribeApi;
use Illuminate\Console\Command;

final class OpenApiCommand extends Command
{
    protected $signature = 'odd-bench:openapi {--check : fail when the kept description is out of step}';

    protected $description = 'Write the description of the API to docs/api/openapi.json';

    public function handle(DescribeApi $api): int
    {
        $path = base_path('docs/api/openapi.json');
        $fresh = json_encode(
            $api->document(),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        )."\n";
        if ($this->option('check')) {
            $same = is_file($path) && file_get_contents($path) === $fresh;
            $this->line($same ? 'In step.' : 'docs/api/openapi.json is out of step. Run php artisan odd-bench:openapi and npm run api.');

            return $same ? self::SUCCESS : self::FAILURE;
        }
        file_put_contents($path, $fresh);

        return self::SUCCESS;
    }
}
