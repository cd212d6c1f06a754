<?php

declare(strict_types=1);

namespace App\Safety;

use App\Intake\Findings;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

/** Answers safety questions; a yes is a finding and puts the red tag on. */
final readonly class AnswerSafety
{
    public function __construct(
        private Knowledge $knowledge,
        private JobRecord $record,
        private Findings $findings,
        private PutOnRedTag $redTag,
    ) {
    }

    /**
     * @param  array<string, bool|null>  $answers  question => yes, null for not checked
     *
     * @throws InputError for a question nobody asks
     */
    public function answer(Job $job, array $answers, Person $by): Job
    {
        $yes = [];
        foreach ($answers as $code => $answer) {
            $question = $this->knowledge->safetyQuestions[$code] ?? throw InputError::unknown(
                "answers.{$code}",
                'safety question',
                $code,
                array_keys($this->knowledge->safetyQuestions),
            );
            if ($answer === true) {
                $yes[] = $question;
            }
        }
        if ($answers === []) {
            throw InputError::at('answers', 'Answer at least one of them with yes, no or not checked.');
        }

        return $this->record->write($job, $by, null, function (Job $job) use ($answers, $yes, $by): Said {
            foreach ($answers as $code => $answer) {
                SafetyAnswer::query()->create([
                    'job_id' => $job->id,
                    'question' => $code,
                    'yes' => $answer,
                    'person_id' => $by->id,
                    'at' => now(),
                ]);
            }
            if ($yes === []) {
                return new Said('safety', $this->words($answers));
            }
            $reasons = [];
            foreach ($yes as $question) {
                $this->findings->put($job, $question->finding, true, 'told', null, $by);
                $reasons[] = $this->knowledge->findings[$question->finding]->name;
            }

            return $this->redTag->on($job, implode(', ', $reasons), $by);
        });
    }

    /** @param  array<string, bool|null>  $answers  none of them yes */
    private function words(array $answers): string
    {
        $open = array_keys(array_filter($answers, is_null(...)));
        $no = count($answers) - count($open);
        $said = $no === 0 ? [] : [$no === 1 ? 'A safety question answered: no' : "{$no} safety questions answered: no danger"];
        if ($open !== []) {
            $said[] = 'not checked: '.implode(
                ', ',
                array_map(fn (string $code): string => lcfirst($this->knowledge->safetyQuestions[$code]->ask), $open),
            );
        }

        return implode('; ', $said);
    }
}
