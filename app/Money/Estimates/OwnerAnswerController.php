<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Api\Refused;
use App\Shop\Setting;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\OwnerSaid;
use OddBench\Money\Price;
use Symfony\Component\HttpFoundation\Response as Answered;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** An owner answers at the address in the letter: no login, only whoever has that letter, and each estimate once. */
final readonly class OwnerAnswerController
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function show(string $key): Answered
    {
        return $this->page($this->estimate($key), null);
    }

    public function store(string $key, Request $request, AnswerEstimate $answer): Answered
    {
        $estimate = $this->estimate($key);
        try {
            $this->refuseOver($estimate);
            $said = OwnerSaid::tryFrom($request->string('answer')->toString())
                ?? throw InputError::at('answer', 'Choose one of the three.');
            $answer->answer(
                $estimate,
                $said,
                $said === OwnerSaid::DoNotMend ? null : Price::read(
                    mb_substr($request->string($said === OwnerSaid::GoAhead ? 'upTo' : 'above')->toString(), 0, 40),
                    Setting::text('currency'),
                    'upTo',
                ),
                'its owner',
                'page',
                null,
                $request->ip(),
            );
        } catch (InputError|Refused $e) {
            return $this->page($estimate, $e->getMessage());
        }

        return redirect(AnswerKey::path($estimate->job_id, $estimate->number), 303);
    }

    private function estimate(string $key): SentEstimate
    {
        return AnswerKey::find($key) ?? throw new NotFoundHttpException('There is no such page. Is the address whole?');
    }

    private function refuseOver(SentEstimate $estimate): void
    {
        if ($estimate->isOver()) {
            throw Refused::because('estimate', 'This address is no longer in use. Please call us.');
        }
    }

    private function page(SentEstimate $estimate, ?string $refused): Response
    {
        $estimate->load('answer');
        $machine = $estimate->job->machine;
        $currency = Setting::text('currency');
        $family = $this->knowledge->familyName($machine->family);
        $zone = Setting::text('zone');

        return new Response(view('owners-answer', [
            'shop' => Setting::text('shop_name'),
            'machine' => $machine,
            'refused' => $refused,
            'replaced' => $estimate->superseded_at !== null && $estimate->answer === null,
            'over' => $estimate->isOver() && $estimate->answer === null,
            'until' => $estimate->over()->setTimezone($zone)->format('j F Y'),
            'paragraphs' => array_slice(explode("\n\n", EstimateWords::letter($estimate->job, $family, $estimate->frozen, null)), 0, -1),
            'answered' => $estimate->answer === null
                ? null
                : $estimate->answer->words().($estimate->answer->up_to_minor === null ? '' : " {$currency}"),
            'upTo' => Price::words(max($estimate->expected_minor, $estimate->ceiling_minor)),
            'above' => Price::words($estimate->expected_minor),
            'currency' => $currency,
            'path' => AnswerKey::path($estimate->job_id, $estimate->number),
        ])->render(), $refused === null ? 200 : 422, [
            'Cache-Control' => 'private, no-store',
            'X-Robots-Tag' => 'noindex, nofollow',
            'Referrer-Policy' => 'no-referrer',
        ]);
    }
}
