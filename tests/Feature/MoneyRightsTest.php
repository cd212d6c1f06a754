<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Shop\Role;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;

/** Sums are for leads, the counter and whom a lead lets: every way to read or write them asks, whoever added it. */
final class MoneyRightsTest extends BenchTestCase
{
    private Job $job;

    private string $tag;

    protected function setUp(): void
    {
        parent::setUp();
        $lead = $this->person(Role::Lead);
        $this->actingAs($lead);
        $this->job = $this->job($machine = $this->machine(heldAs: 'owner'));
        $this->tag = $machine->tag;
        $this->atFind($this->job);
        $this->send('POST', "/jobs/{$this->job->id}/findings", ['findings' => ['jams-when-warm' => true]])->assertOk();
        $upTo = $this->getJson("/api/v1/jobs/{$this->job->id}/money")->json('estimate.upToFinding');
        $this->send('POST', "/jobs/{$this->job->id}/estimates", ['way' => 'phone', 'upToFinding' => $upTo])->assertOk();
        $this->send('POST', '/money/offers', [
            'family' => 'heron-cx', 'seller' => 'Osk Venn', 'says' => 'Turns on.', 'findings' => [], 'sells' => '300', 'parts' => '90',
            'stages' => [['name' => 'Moves', 'cost' => '12', 'passesPct' => 90, 'fallback' => '90', 'end' => 'split']],
        ])->assertOk();
    }

    /** @return iterable<string, array{Role, bool, int}> role, let by a lead, what reading answers */
    public static function people(): iterable
    {
        yield 'a lead' => [Role::Lead, false, 200];
        yield 'the counter' => [Role::Counter, false, 200];
        yield 'a technician' => [Role::Technician, false, 403];
        yield 'a technician a lead lets' => [Role::Technician, true, 200];
        yield 'somebody who only reads' => [Role::ReadOnly, false, 403];
    }

    #[DataProvider('people')]
    public function test_sums_are_read_by_whom_they_are_shown(Role $role, bool $let, int $status): void
    {
        $person = $this->person($role);
        $person->update(['sees_money' => $let]);
        $this->actingAs($person);
        $answers = [];
        foreach ($this->addresses() as $address) {
            $answers[$address] = $this->get($address, ['Accept' => 'application/json'])->getStatusCode();
        }
        self::assertGreaterThan(8, count($answers));
        // a job without a bill has no paper of it, for whoever may see it
        unset($answers["/files/jobs/{$this->job->id}/bill.pdf"]);
        self::assertSame(array_fill_keys(array_keys($answers), $status), $answers);
    }

    #[DataProvider('people')]
    public function test_no_other_page_of_the_job_says_a_sum_of_its_estimate(Role $role, bool $let, int $status): void
    {
        $sums = $this->sums();
        $person = $this->person($role);
        $person->update(['sees_money' => $let]);
        $this->actingAs($person);
        $read = '';
        $job = "jobs/{$this->job->id}";
        $pages = ["/api/v1/{$job}", "/api/v1/{$job}/fix", "/api/v1/machines/{$this->tag}", '/api/v1/bench', "/files/{$job}/sheet.pdf"];
        foreach ($pages as $address) {
            $read .= $this->get($address, ['Accept' => 'application/json'])->getContent();
        }
        foreach ($sums as $sum) {
            self::assertStringNotContainsString($sum, $read);
        }
        if ($status === 200) {
            self::assertStringContainsString($sums[0], (string) $this->get("/api/v1/jobs/{$this->job->id}/money")->getContent());
        }
    }

    /** @return list<string> the sum of the estimate as minor units and as words */
    private function sums(): array
    {
        $minor = (int) $this->getJson("/api/v1/jobs/{$this->job->id}/money")->json('sent.0.expectedMinor');
        self::assertGreaterThan(100, $minor);

        return [(string) $minor, number_format($minor / 100, 2, '.', '')];
    }

    /** @return list<string> whatever the routes have of money, with what stands in this shop */
    private function addresses(): array
    {
        $addresses = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $money = preg_match('~^api/v1/money/|/money$|ledger\.csv|bills\.csv|/(estimate|bill)\.pdf~', $route->uri()) === 1;
            if (! $money || ! in_array('GET', $route->methods(), true)) {
                continue;
            }
            $offer = (string) \App\Money\Buying\Offer::query()->value('id');
            $addresses[] = '/'.strtr($route->uri(), ['{job}' => (string) $this->job->id, '{offer}' => $offer, '{tag}' => $this->tag]);
        }

        return $addresses;
    }
}
