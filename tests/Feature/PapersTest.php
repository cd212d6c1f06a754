<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Machines\Paper;
use App\Shop\Role;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** Papers of a family with marks, and photographs that carry nothing but the picture. */
final class PapersTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->actingAs($this->person());
    }

    public function test_a_pdf_is_kept_as_it_is_and_opened_at_its_page(): void
    {
        $pdf = "%PDF-1.4\n1 0 obj<</Type/Catalog>>endobj\ntrailer<</Root 1 0 R>>\n%%EOF";
        $paper = $this->upload('/families/tern-220/papers?title=Manual', $pdf)->assertOk()->json('papers.0');

        self::assertSame(['Manual', false], [$paper['title'], $paper['picture']]);
        $file = $this->get("/files/papers/{$paper['id']}")->assertOk();
        self::assertSame($pdf, $file->getContent());
        self::assertSame('application/pdf', $file->headers->get('Content-Type'));
        $this->send('POST', "/papers/{$paper['id']}/marks", ['kind' => 'position', 'code' => 'nozzle', 'page' => 14])->assertOk();
        $mark = (array) $this->getJson('/api/v1/families/tern-220/papers')->json('papers.0.marks.0');
        self::assertSame(['Nozzle', 14], [$mark['name'], $mark['page']]);
    }

    public function test_a_picture_is_marked_at_a_point(): void
    {
        $paper = $this->upload('/families/tern-220/papers?title=Board', $this->jpeg())->assertOk()->json('papers.0');
        $mark = fn (array $body): TestResponse => $this->send('POST', "/papers/{$paper['id']}/marks", $body);

        $this->assertRefused($mark(['kind' => 'socket', 'code' => 'TH']), 422, 'x', 'Point at the place');
        $this->assertRefused($mark(['kind' => 'socket', 'code' => 'NOPE', 'x' => 0.2, 'y' => 0.3]), 422, 'code', 'no socket “NOPE”');
        $mark(['kind' => 'socket', 'code' => 'TH', 'x' => 0.2, 'y' => 1.3])->assertStatus(422);
        $marks = (array) $mark(['kind' => 'socket', 'code' => 'TH', 'x' => 0.2, 'y' => 0.3])->assertOk()->json('papers.0.marks');
        self::assertSame([0.2, 0.3, 'TH'], [$marks[0]['x'], $marks[0]['y'], $marks[0]['name']]);
        self::assertSame([], $this->send('DELETE', "/papers/{$paper['id']}/marks/{$marks[0]['id']}")->assertOk()->json('papers.0.marks'));
        self::assertSame([], $this->send('DELETE', "/papers/{$paper['id']}")->assertOk()->json('papers'));
        $this->get("/files/papers/{$paper['id']}")->assertNotFound();
    }

    public function test_what_is_neither_is_refused(): void
    {
        $this->assertRefused(
            $this->upload('/families/tern-220/papers?title=x', '<script>alert(1)</script>'),
            422,
            'file',
            'neither a PDF nor a picture',
        );
        $this->assertRefused($this->upload('/families/tern-220/papers?title=', $this->jpeg()), 422, 'title', 'a title');
        $this->assertRefused($this->upload('/families/dodo/papers?title=x', $this->jpeg()), 422, 'family', 'no family “dodo”');
        self::assertSame(0, Paper::query()->count());
        $this->actingAs($this->person(Role::ReadOnly));
        $this->upload('/families/tern-220/papers?title=x', $this->jpeg())->assertForbidden();
    }

    public function test_a_photograph_loses_its_place_and_is_turned_upright(): void
    {
        $job = $this->job();
        $held = $this->withExif($this->jpeg(), 6, 'GPS 54.32N Kiel harbour');
        self::assertStringContainsString('Kiel', $held);
        $answer = $this->upload("/jobs/{$job->id}/photographs", $held)->assertOk();

        $kept = (string) $this->get((string) $answer->json('url'))->assertOk()->getContent();
        self::assertStringNotContainsString('Kiel', $kept);
        self::assertStringNotContainsString('Exif', $kept);
        self::assertSame([60, 80], [$answer->json('width'), $answer->json('height')], 'the camera was held on its side');
    }

    public function test_a_photograph_belongs_to_its_step_on_the_tray(): void
    {
        $job = $this->job();
        $this->atFix($job);
        $photo = (int) $this->upload("/jobs/{$job->id}/photographs", $this->jpeg())->assertOk()->json('id');
        $this->send('POST', "/jobs/{$job->id}/teardown-steps", ['off' => 'Cover', 'photograph' => $photo])->assertOk();
        self::assertSame("/files/photographs/{$photo}.jpg", $this->getJson("/api/v1/jobs/{$job->id}/fix")->json('steps.0.photograph'));

        $other = $this->job($this->machine());
        $this->atFix($other);
        $this->assertRefused(
            $this->send('POST', "/jobs/{$other->id}/teardown-steps", ['off' => 'Cover', 'photograph' => $photo]),
            422,
            'photograph',
            'no such photograph in this job',
        );
    }

    public function test_too_large_or_no_picture(): void
    {
        $job = $this->job();
        $this->assertRefused($this->upload("/jobs/{$job->id}/photographs", 'not a picture'), 422, 'photograph', 'no photograph');
        $this->upload("/jobs/{$job->id}/photographs", str_repeat('x', 9 * 1024 * 1024))->assertStatus(413);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function upload(string $path, string $bytes): TestResponse
    {
        return $this->call(
            'POST',
            "/api/v1{$path}",
            [],
            [],
            [],
            [
                'CONTENT_TYPE' => 'application/octet-stream',
                'HTTP_ACCEPT' => 'application/json',
                'HTTP_IDEMPOTENCY_KEY' => (string) Str::uuid(),
                'HTTP_CONTENT_LENGTH' => (string) strlen($bytes),
            ],
            $bytes,
        );
    }

    private function jpeg(): string
    {
        $picture = imagecreatetruecolor(80, 60);
        ob_start();
        imagejpeg($picture);

        return (string) ob_get_clean();
    }

    /** A block as cameras write it: orientation (tag 0x0112) and words about the place. */
    private function withExif(string $jpeg, int $orientation, string $words): string
    {
        $tiff = 'II'.pack('vV', 42, 8).pack('v', 1).pack('vvVvv', 0x0112, 3, 1, $orientation, 0).pack('V', 0).$words;
        $block = "Exif\0\0".$tiff;

        return substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($block) + 2).$block.substr($jpeg, 2);
    }
}
