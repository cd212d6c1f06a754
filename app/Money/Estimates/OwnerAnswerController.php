<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Api\Refused;
use App\Machines\Machine;
use App\Shop\Setting;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OddBench\Input\InputError;
use OddBench\Money\OwnerSaid;
use OddBench\Money\Price;
use Symfony\Component\HttpFoundation\Response as Answered;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** An owner answers on the page behind the code: no login, only whoever has the code, and each estimate once. */
final readonly class OwnerAnswerController
{
    public function store(string $key, Request $request, AnswerEstimate $answer): Answered
    {
        $machine = Machine::query()->where('page_key', strtolower($key))->first()
            ?? throw new NotFoundHttpException('There is no such page.');
        $estimate = SentEstimate::query()->whereHas('job', static fn ($q) => $q->where('machine_id', $machine->id))
            ->find($request->integer('estimate')) ?? throw new NotFoundHttpException('There is no such estimate.');
        $said = OwnerSaid::tryFrom($request->string('answer')->toString());
        try {
            $answer->answer(
                $estimate,
                $said ?? throw InputError::at('answer', 'Choose one of the three.'),
                $said === OwnerSaid::DoNotMend ? null : Price::read(
                    mb_substr($request->string($said === OwnerSaid::GoAhead ? 'upTo' : 'above')->toString(), 0, 40),
                    Setting::text('currency'),
                    'upTo',
                ),
                'its owner',
                'page',
                null,
            );
        } catch (InputError|Refused $e) {
            return new Response(view('owners-answer', ['words' => $e->getMessage(), 'key' => $machine->page_key])->render(), 422, [
                'Cache-Control' => 'private, no-store',
                'X-Robots-Tag' => 'noindex, nofollow',
            ]);
        }

        return redirect("/o/{$machine->page_key}", 303);
    }
}
