<?php

declare(strict_types=1);

/*
 * One of several hands that press at the same moment: reads writes as JSON lines, waits for the moment each is to be sent, handles
 * it in a process of its own on the real database, and says what was answered. Driven by RacesTest and by the drill.
 */

use App\Shop\Person;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$kernel = $app->make(Kernel::class);
$kernel->bootstrap();

while (($line = fgets(STDIN)) !== false) {
    /** @var array{method: string, path: string, body: string, type: string, key: string, person: int, at: int} $write */
    $write = json_decode($line, true, 64, JSON_THROW_ON_ERROR);
    $request = Request::create(
        "/api/v1{$write['path']}",
        $write['method'],
        [],
        [],
        [],
        ['CONTENT_TYPE' => $write['type'], 'HTTP_ACCEPT' => 'application/json', 'HTTP_IDEMPOTENCY_KEY' => $write['key']],
        (string) base64_decode($write['body'], true),
    );
    $app->instance('request', $request);
    Auth::guard()->setUser(Person::query()->findOrFail($write['person']));
    while (hrtime(true) < $write['at']) {
        usleep(200);
    }
    $response = $kernel->handle($request);
    $kernel->terminate($request, $response);
    $app->forgetScopedInstances();
    fwrite(
        STDOUT,
        json_encode(
            [
                'status' => $response->getStatusCode(),
                'body' => mb_strcut((string) $response->getContent(), 0, 400),
                'sum' => sha1((string) $response->getContent()),
            ],
            JSON_INVALID_UTF8_SUBSTITUTE,
        )."\n",
    );
    fflush(STDOUT);
}
