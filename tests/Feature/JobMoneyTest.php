<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Intake\WorkSpell;
use App\Machines\Machine;
use App\Money\Charges\Bill;
use App\Money\Estimates\AnswerKey;
use App\Money\Estimates\EstimateAnswer;
use App\Money\Estimates\SentEstimate;
use App\Shop\Ability;
use App\Shop\Role;
use App\Shop\Setting;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Log;
use Illuminate\Testing\TestResponse;

/** Estimate, answer, asked again, mended, billed: what a job costs its owner, and what it costs the shop. */
final class JobMoneyTest extends BenchTestCase
{
    private Machine $machine;

    private Job $job;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->person(Role::Lead));
        $this->machine = $this->machine(heldAs: 'owner');
        $this->job = $this->job($this->machine);
    }

    public function test_there_is_an_estimate_as_soon_as_find_knows_something_and_each_finding_moves_it(): void
    {
        $this->atFind($this->job);
        $this->money()->assertJsonPath('estimate', null)->assertJsonPath('letter', null);
        $this->assertRefused($this->estimate(PHP_INT_MAX), 409, 'way', 'Find knows nothing');
        $this->find(['jams-when-warm' => true]);
        $first = $this->money()->json('estimate');
        self::assertGreaterThan(0, $first['expectedMinor']);
        self::assertGreaterThanOrEqual($first['expectedMinor'], $first['mostMinor']);
        self::assertGreaterThanOrEqual(8, $first['inTen']);
        self::assertSame('Something else', end($first['lines'])['what']);
        $this->find(['hot-material-used' => true, 'break-fan-dead' => true]);
        $second = $this->money()->json('estimate');
        self::assertNotSame($first['expectedMinor'], $second['expectedMinor']);
        self::assertGreaterThan($first['upToFinding'], $second['upToFinding']);
    }

    public function test_what_was_sent_stays_as_it_was_and_the_bench_says_who_is_waited_for(): void
    {
        $sent = $this->sent();
        $frozen = $sent['expectedMinor'];
        $bench = $this->getJson('/api/v1/bench')->json('groups');
        $waiting = collect((array) $bench)->firstWhere('code', 'waiting');
        self::assertSame('1 on the owner', $waiting['summary']);
        self::assertStringContainsString('The owner to answer estimate 1', $waiting['lines'][0]['next']);
        $this->travel(3)->days();
        $this->actingAs(Auth::user() ?? $this->person(Role::Lead));
        $waiting = collect((array) $this->getJson('/api/v1/bench')->json('groups'))->firstWhere('code', 'waiting');
        self::assertGreaterThan(2.9 * 86_400, now()->getTimestamp() - strtotime((string) $waiting['lines'][0]['since']));
        $this->find(['break-fan-dead' => true]);
        $this->money()->assertJsonPath('sent.0.expectedMinor', $frozen);
        self::assertStringContainsString('In '.$sent['inTen'].' of 10', (string) $this->money()->json('sent.0.text'));
    }

    public function test_an_estimate_older_than_the_last_finding_is_looked_at_again_before_it_goes(): void
    {
        $this->atFind($this->job);
        $this->find(['jams-when-warm' => true]);
        $seen = $this->money()->json('estimate.upToFinding');
        $this->find(['break-fan-dead' => true]);
        $this->assertRefused($this->estimate($seen), 409, 'upToFinding', 'A finding was added since');
        self::assertSame(0, SentEstimate::query()->count());
        $this->estimate($this->money()->json('estimate.upToFinding'))->assertOk();
    }

    public function test_it_is_not_mended_before_its_owner_has_answered_and_found_dearer_it_is_asked_again(): void
    {
        $sent = $this->sent();
        $this->confirm();
        $this->assertRefused($this->move('repair'), 409, 'to', 'has not answered');
        $this->answer($sent['id'], 'go-ahead', '5.00')->assertOk()->assertJsonPath('sent.0.answer.upToMinor', 500);
        $this->assertRefused($this->move('repair'), 409, 'to', 'found dearer');
        self::assertStringContainsString('its owner allowed 5.00', (string) $this->money()->json('against'));
        // asked again
        $again = $this->estimate($this->money()->json('estimate.upToFinding'))->assertOk()->json('sent.0');
        self::assertSame(2, $again['number']);
        $this->assertRefused($this->answer($sent['id'], 'go-ahead', '500'), 409, 'answer', 'answered already');
        $this->answer($again['id'], 'ask-above', '500')->assertOk()->assertJsonPath('against', null);
        $this->move('repair')->assertOk();
    }

    public function test_a_no_is_kept_to_until_it_is_asked_again_or_withdrawn(): void
    {
        $sent = $this->sent();
        $this->confirm();
        $this->answer($sent['id'], 'do-not-mend', null)->assertOk();
        $this->assertRefused($this->move('repair'), 409, 'to', 'does not want it mended');
        $this->assertRefused(
            $this->send('DELETE', "/jobs/{$this->job->id}/estimates", ['because' => '']),
            422,
            'because',
            'Why is nobody asked',
        );
        $this->send('DELETE', "/jobs/{$this->job->id}/estimates", ['because' => 'A favour of the shop'])->assertOk();
        $this->move('repair')->assertOk();
    }

    public function test_two_answers_at_once_the_second_is_told_the_first(): void
    {
        $sent = $this->sent();
        $this->assertRefused($this->answer($sent['id'], 'go-ahead', null), 422, 'upTo', 'needs its sum');
        $this->answer($sent['id'], 'go-ahead', '80')->assertOk();
        $this->assertRefused($this->answer($sent['id'], 'do-not-mend', null), 409, 'answer', 'Go ahead up to 80.00');
        self::assertSame(1, EstimateAnswer::query()->count());
    }

    public function test_a_part_that_lifts_it_over_what_was_allowed_is_asked_for_first(): void
    {
        $part = $this->part();
        $sent = $this->sent();
        $this->confirm();
        $this->answer($sent['id'], 'go-ahead', '500')->assertOk();
        $this->move('repair')->assertOk();
        $hands = WorkSpell::query()->create([
            'job_id' => $this->job->id, 'person_id' => $this->person()->id, 'station' => 'repair',
            'began_at' => now()->subMinutes(560), 'last_seen_at' => now(), 'ended_at' => now(),
        ]);
        $take = fn (array $more = []): TestResponse => $this->send(
            'POST',
            "/jobs/{$this->job->id}/parts",
            ['part' => $part->number, 'quantity' => 1, ...$more],
        );
        $this->assertRefused($take(), 409, 'askedFor', 'more than its owner allowed');
        self::assertSame(3, $part->refresh()->on_hand);
        $take(['askedFor' => true])->assertOk();
        $hands->delete();
        $take()->assertOk();
    }

    public function test_its_owner_answers_at_the_address_in_the_letter_once_and_sees_nothing_of_the_shops_own(): void
    {
        Setting::put('charge_minute_minor', 150);
        $sent = $this->sent('letter');
        $address = $this->addressIn($sent['text']);
        Auth::logout();
        $page = (string) $this->get($address)->assertOk()->assertHeader('Referrer-Policy', 'no-referrer')->getContent();
        self::assertStringContainsString('What it will cost', $page);
        self::assertStringContainsString(number_format($sent['ceilingMinor'] / 100, 2), $page);
        $post = fn (array $body): TestResponse => $this->post($address, $body);
        $refused = fn (array $body): string => (string) $post($body)->assertStatus(422)->getContent();
        self::assertStringContainsString('more than one sign', $refused(['answer' => 'go-ahead', 'upTo' => '1,2,3']));
        self::assertStringContainsString('shop counts in EUR', $refused(['answer' => 'go-ahead', 'upTo' => '80 USD']));
        $most = SentEstimate::query()->findOrFail($sent['id'])->mostMinor();
        self::assertGreaterThanOrEqual(max($sent['ceilingMinor'], $sent['expectedMinor']), $most);
        foreach (['go-ahead' => 'upTo', 'ask-above' => 'above'] as $answer => $field) {
            self::assertStringContainsString('the most this estimate says', $refused(['answer' => $answer, $field => number_format(($most + 1) / 100, 2, '.', '')]));
            self::assertStringContainsString('the most this estimate says', $refused(['answer' => $answer, $field => '0']));
        }
        $refused(['answer' => 'nonsense']);
        self::assertSame(0, EstimateAnswer::query()->count());
        $post(['answer' => 'go-ahead', 'upTo' => number_format($most / 100, 2, ',', '')])->assertStatus(303);
        self::assertStringContainsString('answered already', $refused(['answer' => 'do-not-mend']));
        self::assertStringContainsString('Your answer:', (string) $this->get($address)->getContent());
        $answer = EstimateAnswer::query()->firstOrFail();
        self::assertSame(
            [$most, null, 'page', '127.0.0.1'],
            [$answer->up_to_minor, $answer->person_id, $answer->way, $answer->address],
        );
        self::assertNull($this->job->refresh()->waits_for);
    }

    public function test_the_page_behind_the_label_shows_no_sum_and_takes_no_answer(): void
    {
        $sent = $this->sent('letter');
        $key = $this->machine->page_key;
        Auth::logout();
        $page = (string) $this->get("/o/{$key}")->assertOk()->getContent();
        self::assertStringContainsString('wait for your answer', $page);
        self::assertStringContainsString('We wait for your word', $page);
        self::assertStringNotContainsString(number_format($sent['ceilingMinor'] / 100, 2), $page);
        self::assertStringNotContainsString('EUR', $page);
        self::assertStringNotContainsString('<form', $page);
        self::assertStringNotContainsString('/o/answer/', $page);
        $this->post("/o/{$key}/answer", ['estimate' => $sent['id'], 'answer' => 'do-not-mend'])->assertNotFound();
        self::assertSame(0, EstimateAnswer::query()->count());
    }

    public function test_an_address_fits_one_estimate_and_no_other(): void
    {
        $first = $this->addressIn($this->sent()['text']);
        $draft = $this->addressIn((string) $this->money()->json('letter'));
        $again = $this->estimate((int) $this->money()->json('estimate.upToFinding'), 'letter')->assertOk();
        $second = $this->addressIn((string) $again->json('sent.0.text'));
        self::assertSame($draft, $second, 'what is copied before it is sent is what holds');
        self::assertNotSame($first, $second);
        Auth::logout();
        [, , $seal] = explode('-', $first);
        [$job, $number] = explode('-', basename($second));
        foreach (["/o/answer/{$job}-{$number}-{$seal}", "/o/answer/{$job}-3-{$seal}", substr($first, 0, -1), "{$first}0"] as $guessed) {
            $this->get($guessed)->assertNotFound();
            $this->post($guessed, ['answer' => 'do-not-mend'])->assertNotFound();
        }
        // the one before it was replaced: it shows no sum and takes no answer
        self::assertStringContainsString('replaced by a later one', (string) $this->get($first)->assertOk()->getContent());
        self::assertStringContainsString(
            'replaced by a later one',
            (string) $this->post($first, ['answer' => 'do-not-mend'])->assertStatus(422)->getContent(),
        );
        $this->travel(AnswerKey::DAYS + 1)->days();
        $late = (string) $this->get($second)->assertOk()->getContent();
        self::assertStringContainsString('could be answered here until', $late);
        self::assertStringNotContainsString('EUR', $late);
        $this->post($second, ['answer' => 'do-not-mend'])->assertStatus(422);
        self::assertSame(0, EstimateAnswer::query()->count());
    }

    public function test_keys_are_seen_by_nobody_who_does_not_see_owners(): void
    {
        $this->sent();
        $key = $this->machine->page_key;
        $seen = [
            "/machines/{$this->machine->tag}",
            '/machines-labels',
            "/machines?text={$this->machine->tag}",
            "/jobs/{$this->job->id}",
            "/jobs/{$this->job->id}/money",
            '/bench',
        ];
        $shown = implode('', array_map(fn (string $path): string => (string) $this->getJson("/api/v1{$path}")->getContent(), $seen));
        self::assertStringContainsString($key, $shown, 'who meets owners sees it');
        self::assertStringContainsString('answer', $shown);
        foreach (Role::cases() as $role) {
            $person = $this->person($role);
            if (Ability::SeeOwners->of($role, $person->sees_money)) {
                continue;
            }
            $this->actingAs($person);
            foreach ($seen as $path) {
                $answer = (string) $this->getJson("/api/v1{$path}")->getContent();
                self::assertStringNotContainsString($key, $answer, "{$role->value} {$path}");
                self::assertStringNotContainsString('o\/answer', $answer, "{$role->value} {$path}");
            }
        }
    }

    public function test_pages_without_a_login_stand_in_the_access_log_without_their_keys(): void
    {
        $address = $this->addressIn($this->sent()['text']);
        $key = $this->machine->page_key;
        Auth::logout();
        $log = (string) tempnam(sys_get_temp_dir(), 'access');
        config(['logging.channels.access' => ['driver' => 'single', 'path' => $log]]);
        Log::forgetChannel('access');
        $this->get("/o/{$key}")->assertOk();
        $this->get("/o/{$key}/sheet.pdf")->assertNotFound();
        $this->get($address)->assertOk();
        $this->post($address, ['answer' => 'do-not-mend'])->assertStatus(303);
        $this->get('/calendar/'.str_repeat('0', 40).'.ics')->assertNotFound();
        $kept = array_values(array_filter(explode("\n", (string) file_get_contents($log))));
        unlink($log);
        self::assertCount(5, $kept);
        self::assertStringContainsString('GET /o/… 200', $kept[0]);
        self::assertStringContainsString('GET /o/…/sheet.pdf 404', $kept[1]);
        self::assertStringContainsString('GET /o/answer/… 200', $kept[2]);
        self::assertStringContainsString('POST /o/answer/… 303', $kept[3]);
        self::assertStringContainsString('GET /calendar/… 404', $kept[4]);
    }

    private function addressIn(string $letter): string
    {
        self::assertSame(1, preg_match('~https?://[^/]+(/o/answer/\S+)~', $letter, $found), $letter);

        return $found[1];
    }

    public function test_an_approval_that_comes_after_the_work_is_kept_and_said_to_be_late(): void
    {
        $sent = $this->sent();
        $this->confirm();
        $this->job->refresh()->update(['station' => 'release', 'station_since' => now()]);
        $this->answer($sent['id'], 'go-ahead', '60')->assertOk()->assertJsonPath('sent.0.answer.late', true);
        self::assertStringContainsString('when the work was done', (string) $this->money()->json('messages.0.text'));
    }

    public function test_a_bill_is_what_was_worked_and_used_and_is_written_once(): void
    {
        Setting::put('charge_minute_minor', 120);
        Setting::put('tax_pct', 19);
        $part = $this->part();
        $this->atFix($this->job);
        $this->send('POST', "/jobs/{$this->job->id}/parts", ['part' => $part->number, 'quantity' => 2])->assertOk();
        $this->assertRefused($this->bill(), 409, 'job', 'stands at Send out');
        WorkSpell::query()->where('job_id', $this->job->id)->delete();
        WorkSpell::query()->create([
            'job_id' => $this->job->id, 'person_id' => $this->person()->id, 'station' => 'repair',
            'began_at' => now()->subMinutes(47), 'last_seen_at' => now(), 'ended_at' => now(),
        ]);
        $this->job->refresh()->update(['station' => 'release', 'station_since' => now()]);
        // 47 × 1.20 + 2 × 1.20 at 35 % = 56.40 + 3.24; tax 11.33; it cost 47 × 0.90 + 2.40
        $this->money()
            ->assertJsonPath('charge.netMinor', 5964)
            ->assertJsonPath('charge.taxMinor', 1133)
            ->assertJsonPath('charge.grossMinor', 7097)
            ->assertJsonPath('charge.ownCostMinor', 4470);
        $this->assertRefused($this->bill(['minutesOut' => 60]), 422, 'minutesOut', 'There were 47');
        $this->assertRefused($this->bill(['freight' => '1,2,3']), 422, 'freight', 'more than one sign');
        $bill = $this->bill(['minutesOut' => 7])->assertOk()->json('bill');
        self::assertSame([5124, 974, 6098, 4470], [$bill['netMinor'], $bill['taxMinor'], $bill['grossMinor'], $bill['ownCostMinor']]);
        self::assertSame(['Hands, 40 minutes', '2 × Liner 4/2 mm'], array_column($bill['lines'], 'what'));
        $this->assertRefused($this->bill(), 409, 'job', 'number 1');
        $pdf = $this->get("/files/jobs/{$this->job->id}/bill.pdf")->assertOk();
        self::assertStringStartsWith('%PDF-', (string) $pdf->getContent());
        $csv = (string) $this->get('/files/bills.csv')->assertOk()->getContent();
        self::assertStringContainsString('51.24,19,9.74,60.98', $csv);
        self::assertStringNotContainsString('44.7', $csv);
    }

    public function test_an_owner_weighs_what_is_charged_and_the_shop_what_it_costs_itself(): void
    {
        $this->atFind($this->job);
        $this->find(['break-fan-dead' => true]);
        Setting::put('markup_pct', 0);
        $at = fn (string $heldAs): array => tap(
            (array) $this->money()->json('worth'),
            static fn (array $w) => self::assertSame($heldAs === 'owner', $w['furtherIsCharged']),
        );
        $plain = $at('owner')['furtherMinor'];
        // hands at twice what they cost, and a fifth on top
        Setting::put('charge_minute_minor', 180);
        $hands = $at('owner')['furtherMinor'] - $plain;
        Setting::put('tax_pct', 20);
        $charged = $at('owner')['furtherMinor'];
        self::assertEqualsWithDelta(1.2 * ($plain + $hands), $charged, 2);
        Setting::put('markup_pct', 50);
        self::assertGreaterThan($charged, $at('owner')['furtherMinor']);
        $this->machine->update(['held_as' => 'resale', 'owner_id' => null]);
        self::assertGreaterThan(0, $hands);
        self::assertSame($plain, $at('resale')['furtherMinor']);
    }

    public function test_what_the_shop_bears_is_charged_to_nobody_and_counted(): void
    {
        $this->atFix($this->job);
        $this->job->refresh()->update(['station' => 'release', 'station_since' => now()]);
        $this->bill(['freeBecause' => 'We had left a screw loose'])->assertOk()->assertJsonPath('bill.grossMinor', 0);
        self::assertGreaterThanOrEqual(0, Bill::query()->firstOrFail()->own_cost_minor);
        $ledger = $this->getJson('/api/v1/money/ledger')->assertOk();
        self::assertSame(Bill::query()->firstOrFail()->own_cost_minor, $ledger->json('warrantyMinor'));
    }

    public function test_more_than_was_allowed_is_billed_only_when_that_was_talked_about(): void
    {
        $sent = $this->sent();
        $this->confirm();
        $this->answer($sent['id'], 'go-ahead', '1')->assertOk();
        WorkSpell::query()->create([
            'job_id' => $this->job->id, 'person_id' => $this->person()->id, 'station' => 'repair',
            'began_at' => now()->subMinutes(30), 'last_seen_at' => now(), 'ended_at' => now(),
        ]);
        $this->job->refresh()->update(['station' => 'release', 'station_since' => now()]);
        $this->assertRefused($this->bill(), 409, 'overAgreed', 'more than its owner allowed');
        $this->bill(['overAgreed' => true])->assertOk();
    }

    public function test_money_is_shown_to_whom_it_is_shown_only(): void
    {
        $this->sent();
        $technician = $this->person();
        $this->actingAs($technician);
        $machine = (string) $this->getJson("/api/v1/machines/{$this->machine->tag}")->assertOk()->getContent();
        self::assertStringContainsString('Estimate 1 sent', $machine);
        self::assertDoesNotMatchRegularExpression('/Estimate 1[^"]*\d\.\d\d/', $machine);
        $this->getJson("/api/v1/jobs/{$this->job->id}/money")->assertForbidden();
        $this->get("/files/jobs/{$this->job->id}/estimate.pdf", ['Accept' => 'application/json'])->assertForbidden();
        $this->get('/files/ledger.csv', ['Accept' => 'application/json'])->assertForbidden();
        $technician->update(['sees_money' => true]);
        $this->getJson("/api/v1/jobs/{$this->job->id}/money")->assertOk();
        $this->actingAs($this->person(Role::ReadOnly));
        $this->getJson('/api/v1/money/ledger')->assertForbidden();
    }

    public function test_a_machine_that_is_not_fetched_gets_its_letters_and_storage_from_the_day_agreed(): void
    {
        $this->assertRefused($this->ready(), 409, 'way', 'stands at Send out');
        $this->job->refresh()->update(['station' => 'release', 'station_since' => now()]);
        $this->getJson('/api/v1/money/not-fetched')->assertJsonPath('untold.0.job', $this->job->id);
        $this->ready(['freeDays' => 30, 'perDay' => '1,00'])->assertOk()->assertJsonPath('pickup.storageMinor', 0);
        $this->assertRefused($this->ready(), 409, 'way', 'told already');
        $this->travel(90)->days();
        $this->actingAs($this->person(Role::Counter));
        $list = $this->getJson('/api/v1/money/not-fetched')->assertOk();
        self::assertSame(
            [90, 6000, 60],
            [$list->json('machines.0.stood'), $list->json('machines.0.storageMinor'), $list->json('machines.0.letterDue')],
        );
        self::assertStringContainsString('local law', (string) $list->json('law'));
        $remind = fn (int $days): TestResponse => $this->send(
            'POST',
            "/jobs/{$this->job->id}/reminders",
            ['afterDays' => $days, 'way' => 'letter', 'text' => 'Please fetch it.'],
        );
        $remind(60)->assertOk()->assertJsonPath('pickup.letterDue', 30);
        $this->assertRefused($remind(60), 409, 'afterDays', 'has gone already');
        $this->assertRefused($remind(17), 422, 'afterDays', '14, 30, 60');
    }

    public function test_what_was_said_is_in_the_job_and_with_its_owner_and_goes_when_the_owner_is_erased(): void
    {
        $note = ['kind' => 'answered', 'way' => 'phone', 'text' => 'Ines says the dog chewed the cable'];
        $this->send('POST', "/jobs/{$this->job->id}/messages", $note)->assertOk()->assertJsonPath('messages.0.text', $note['text']);
        $owner = (int) $this->machine->owner_id;
        self::assertStringContainsString('dog chewed', (string) $this->getJson("/api/v1/owners/{$owner}")->getContent());
        $this->job->refresh()->update(['finished_at' => now()]);
        $this->send('POST', "/owners/{$owner}/erase")->assertOk();
        self::assertStringNotContainsString('dog chewed', (string) $this->money()->getContent());
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function money(): TestResponse
    {
        return $this->getJson("/api/v1/jobs/{$this->job->id}/money")->assertOk();
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function estimate(int $upTo, string $way = 'phone'): TestResponse
    {
        return $this->send('POST', "/jobs/{$this->job->id}/estimates", ['way' => $way, 'upToFinding' => $upTo]);
    }

    /** @return array<string, mixed> */
    private function sent(string $way = 'phone'): array
    {
        $this->atFind($this->job);
        $this->find(['jams-when-warm' => true, 'hot-material-used' => true]);

        return (array) $this->estimate((int) $this->money()->json('estimate.upToFinding'), $way)->assertOk()->json('sent.0');
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function answer(int $estimate, string $answer, ?string $upTo): TestResponse
    {
        return $this->send(
            'POST',
            "/jobs/{$this->job->id}/estimates/{$estimate}/answer",
            ['answer' => $answer, 'upTo' => $upTo, 'saidBy' => 'Ines Halloran', 'way' => 'phone'],
        );
    }

    /** @param  array<string, bool>  $findings */
    private function find(array $findings): void
    {
        $this->send('POST', "/jobs/{$this->job->id}/findings", ['findings' => $findings])->assertOk();
    }

    private function confirm(): void
    {
        $this->send('POST', "/jobs/{$this->job->id}/faults", ['faults' => ['tube-cooked'], 'version' => $this->job->refresh()->version]);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function move(string $to): TestResponse
    {
        return $this->send('POST', "/jobs/{$this->job->id}/station", ['to' => $to, 'version' => $this->job->refresh()->version]);
    }

    /**
     * @param  array<string, mixed>  $more
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function bill(array $more = []): TestResponse
    {
        return $this->send('POST', "/jobs/{$this->job->id}/bill", ['minutesOut' => 0, ...$more]);
    }

    /**
     * @param  array<string, mixed>  $more
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function ready(array $more = []): TestResponse
    {
        return $this->send('POST', "/jobs/{$this->job->id}/ready", ['way' => 'phone', 'text' => 'Told on the phone', ...$more]);
    }
}
