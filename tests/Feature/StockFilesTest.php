<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Shop\Role;
use App\Stock\Orders\NoteSupplier;
use App\Stock\Orders\NoteSupply;
use App\Stock\Orders\Supply;
use App\Stock\Parts\Part;
use App\Stock\Shelf\Movement;
use App\Stock\Tables\StockFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** Tables that come in and go out. */
final class StockFilesTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->actingAs($this->person(Role::Counter));
        $this->app->make(NoteSupplier::class)->note('Marram Motion', 5, 0, 590, null);
    }

    public function test_every_row_has_its_fate_and_nothing_counts_before_it_is_said(): void
    {
        $this->part(3);
        $file = $this->bring('parts', "number;name;class;bin;words;supplier;supplier_number;pack;pack_cost\n"
            ."LIN-1;Liner 4/2 mm;liner;C4;;;;;\n"
            ."INS-1;Brass insert M3;washer;Z1;heat-set;Marram Motion;M99;100;4,20\n"
            ."FAN-9;Fan for the cupboard;fann;Z1;;;;;\n"
            ."INS-1;Twice;washer;Z1;;;;;\n"
            ."INS-2;Longer;washer;Z1;;Marram Motoin;M98;10;1\n")->assertOk();

        self::assertSame(
            [2 => 'same', 3 => 'new', 4 => 'wrong', 5 => 'wrong', 6 => 'wrong'],
            array_column((array) $file->json('rows'), 'fate', 'line'),
        );
        $messages = array_column((array) $file->json('rows'), 'message', 'line');
        self::assertStringContainsString('part class “fann”', $messages[4]);
        self::assertStringContainsString('stands in line 3 already', $messages[5]);
        self::assertStringContainsString('Is it “Marram Motion”?', $messages[6]);
        self::assertSame(1, Part::query()->count());

        // all rows or none
        $this->assertRefused(
            $this->send('POST', "/stock-files/{$file->json('id')}/apply", ['onlySound' => false]),
            409,
            'rows',
            'Nothing was taken in. Line 4',
        );
        self::assertSame(1, Part::query()->count());
        // or the sound ones only, once
        $this->send('POST', "/stock-files/{$file->json('id')}/apply", ['onlySound' => true])->assertOk();
        $insert = Part::numbered('INS-1');
        self::assertSame(['Brass insert M3', 'Z1', 'washer'], [$insert->name, $insert->bin, $insert->class]);
        $supply = Supply::query()->where('part_id', $insert->id)->firstOrFail();
        self::assertSame([420, 100, 'M99', true], [$supply->pack_cost_minor, $supply->pack, $supply->number, $supply->preferred]);
        $this->assertRefused(
            $this->send('POST', "/stock-files/{$file->json('id')}/apply", ['onlySound' => true]),
            409,
            'file',
            'taken in already',
        );
        // it is found by what people call it and by the supplier's number
        self::assertSame('INS-1', $this->getJson('/api/v1/parts?text=heat-set')->json('parts.0.number'));
        self::assertSame('INS-1', $this->getJson('/api/v1/parts?text=m99')->json('parts.0.number'));
    }

    public function test_stock_is_counted_and_moved_from_tables_with_commas_marks_and_quotes(): void
    {
        $liner = $this->part(10);
        $this->app->make(NoteSupply::class)->note($liner, \App\Stock\Orders\Supplier::query()->firstOrFail(), 'M77', 5, 600);
        $file = $this->bring('stock', "\u{FEFF}supplier_number,bin,on_hand,unit_cost\r\n\"M77\",\"C4\",12,\"1,20\"\r\n");
        self::assertSame('moves', $file->json('rows.0.fate'), (string) $file->getContent());
        $this->send('POST', "/stock-files/{$file->json('id')}/apply", ['onlySound' => false])->assertOk();
        self::assertSame([12, 12 * 120], [$liner->refresh()->on_hand, $liner->value_minor]);

        $file = $this->bring(
            'movements',
            "number\tkind\tquantity\tunit_cost\tbatch\nLIN-1\treceived\t8\t2,00\tB-7\nLIN-1\tscrapped\t21\t\t\nLIN-1\tscrapped\t20\t\t\nGONE\treceived\t1\t1\t\nLIN-1\tused\t1\t\t\nLIN-1\treceived\t2 m\t1\t\nLIN-1\treceived\t1\t120,00\t\nLIN-1\treceived\t1,5\t1\t\n",
        );
        $rows = (array) $file->json('rows');
        $fates = array_column($rows, 'fate', 'line');
        // the second row would take more than the first has brought; the third takes all of it
        self::assertSame(
            ['moves', 'wrong', 'moves', 'wrong', 'wrong', 'wrong', 'moves', 'wrong'],
            array_values($fates),
            (string) json_encode($rows),
        );
        $said = array_column($rows, 'message', 'line');
        self::assertStringContainsString('There are 20 in bin C4', $said[3]);
        self::assertStringContainsString('no part “GONE”', $said[5]);
        self::assertStringContainsString('belongs to a job', $said[6]);
        self::assertStringContainsString('has a unit', $said[7]);
        self::assertStringContainsString('pieces are whole', $said[9]);
        $this->send('POST', "/stock-files/{$file->json('id')}/apply", ['onlySound' => true])->assertOk();
        self::assertSame([1, 12000], [$liner->refresh()->on_hand, $liner->value_minor]);
        self::assertSame('B-7', Movement::query()->where(['kind' => 'received', 'quantity' => 8])->value('batch'));
        self::assertSame(0, Artisan::call('odd-bench:audit'), Artisan::output());
    }

    public function test_what_a_table_has_no_column_for_stays_as_it_is(): void
    {
        $part = $this->part(3);
        $part->update(['words' => 'white tube', 'notes' => 'Cut square.', 'shelf_life_weeks' => 80]);
        $this->app->make(NoteSupply::class)->note($part, \App\Stock\Orders\Supplier::query()->firstOrFail(), 'M77', 5, 600);
        $file = $this->bring('parts', "number,name,class,bin,supplier,pack,pack_cost\nLIN-1,Liner short,liner,C4,Marram Motion,5,7.00\n");
        self::assertSame(['changed', 'name, where it is bought'], [$file->json('rows.0.fate'), $file->json('rows.0.message')]);
        $this->send('POST', "/stock-files/{$file->json('id')}/apply", ['onlySound' => false])->assertOk();
        $part->refresh();
        self::assertSame(
            ['Liner short', 'white tube', 'Cut square.', 80],
            [$part->name, $part->words, $part->notes, $part->shelf_life_weeks],
        );
        $supply = Supply::query()->firstOrFail();
        self::assertSame(['M77', 700, 600], [$supply->number, $supply->pack_cost_minor, $supply->was_minor]);
        foreach (['short', 'white', 'm77'] as $word) {
            self::assertSame('LIN-1', $this->getJson("/api/v1/parts?text={$word}")->json('parts.0.number'), $word);
        }
        // a table without suppliers leaves their numbers findable
        $file = $this->bring('parts', "number,name,class,bin\nLIN-1,Liner shorter,liner,C4\n");
        $this->send('POST', "/stock-files/{$file->json('id')}/apply", ['onlySound' => false])->assertOk();
        self::assertSame('LIN-1', $this->getJson('/api/v1/parts?text=m77')->json('parts.0.number'));
        self::assertSame('white tube', $part->refresh()->words);
    }

    public function test_a_table_in_another_encoding_is_read(): void
    {
        foreach (['UTF-16LE' => "\xFF\xFE", 'CP1252' => ''] as $encoding => $mark) {
            $file = $this->bring('parts', $mark.iconv('UTF-8', $encoding, "number;name;class;bin\n{$encoding};Röhrchen weiß;liner;C4\n"));
            $this->send('POST', "/stock-files/{$file->json('id')}/apply", ['onlySound' => false])->assertOk();
            self::assertSame('Röhrchen weiß', Part::numbered($encoding)->name);
        }
    }

    public function test_a_price_that_is_rather_a_slip_is_said(): void
    {
        $this->part(10);
        $file = $this->bring('movements', "number,kind,quantity,unit_cost\nLIN-1,received,5,120\n");
        self::assertSame('odd', $file->json('rows.0.fate'));
        self::assertStringContainsString('the price of a pack, or in cents?', (string) $file->json('rows.0.message'));
    }

    public function test_a_file_that_is_no_such_table_is_refused_by_name(): void
    {
        $this->assertRefused($this->bring('parts', ''), 422, 'file', 'empty');
        $this->assertRefused($this->bring('parts', "number,nmae,class,bin\n"), 422, 'file', 'Is it “name”?');
        $this->assertRefused($this->bring('parts', "number,name,class\n"), 422, 'file', 'lacks the column bin');
        $this->assertRefused($this->bring('stock', "on_hand\n1\n"), 422, 'file', 'says which part is meant');
        $this->assertRefused($this->bring('stock', "\xFF\xFEn\0u\0"), 422, 'file', 'a column “nu”');
        $this->assertRefused($this->bring('stock', "PK\x03\x04\x14\0\x06\0"), 422, 'file', 'a workbook');
        $this->assertRefused($this->bring('stock', "\x1F\x8B\x08\0"), 422, 'file', 'a packed file');
        self::assertSame(0, StockFile::query()->count());
        $this->bring('people', "a\n")->assertStatus(404);
    }

    public function test_what_goes_out_comes_in_as_it_is_and_holds_no_formula(): void
    {
        $part = $this->part(4);
        $part->update(['name' => '=SUM(A1)', 'notes' => "one line\nanother; \"quoted\"", 'words' => '-tube']);
        $this->app->make(NoteSupply::class)->note($part, \App\Stock\Orders\Supplier::query()->firstOrFail(), 'M77', 5, 600);
        $out = $this->get('/files/stock/parts.csv')->assertOk()->streamedContent();
        self::assertStringContainsString("'=SUM(A1)", $out);
        self::assertStringContainsString("'-tube", $out);
        self::assertSame(['same'], array_column((array) $this->bring('parts', $out)->json('rows'), 'fate'));

        $out = $this->get('/files/stock/stock.csv')->streamedContent();
        self::assertStringContainsString(',C4,4,0', $out);
        self::assertSame(['same'], array_column((array) $this->bring('stock', $out)->json('rows'), 'fate'));
        self::assertStringContainsString('received,4,4.80,C4', $this->get('/files/stock/movements.csv')->streamedContent());
    }

    public function test_who_only_looks_brings_nothing_in(): void
    {
        $this->actingAs($this->person(Role::ReadOnly));
        $this->bring('parts', "number,name,class,bin\nA,B,liner,C1\n")->assertForbidden();
        $this->get('/files/stock/parts.csv')->assertForbidden();
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function bring(string $kind, string $table): TestResponse
    {
        return $this->call(
            'POST',
            "/api/v1/stock-files/{$kind}?name=table.csv",
            [],
            [],
            [],
            [
                'CONTENT_TYPE' => 'application/octet-stream',
                'HTTP_ACCEPT' => 'application/json',
                'HTTP_IDEMPOTENCY_KEY' => (string) Str::uuid(),
            ],
            $table,
        );
    }
}
