<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\Csv;
use App\Api\Pdf;
use App\Api\Refused;
use App\Shop\Ability;
use App\Shop\Here;
use App\Shop\Setting;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\Response;

final readonly class OrderController
{
    public function __construct(private OrdersQuery $orders)
    {
    }

    public function index(): OrdersView
    {
        return $this->orders->all();
    }

    public function send(SendOrderRequest $request, SendOrder $sendOrder): OrdersView
    {
        Gate::authorize(Ability::MoveStock);
        $supplier = Supplier::query()->find($request->integer('supplier')) ?? throw Refused::notFound(
            'supplier',
            'There is no such supplier.',
        );
        $sendOrder->send($supplier, $request->packs(), $request->words('note'), Here::person(), $request->boolean('lessIsRight'));

        return $this->orders->all();
    }

    public function receive(int $order, int $line, ReceiveRequest $request, ReceiveOrder $receiveOrder): OrdersView
    {
        Gate::authorize(Ability::MoveStock);
        $found = OrderLine::query()->where('order_id', $order)->findOrFail($line);
        $receiveOrder->receive(
            $found,
            $request->integer('quantity'),
            $request->wholeOrNull('packCostMinor'),
            $request->boolean('moreIsRight'),
            Here::person(),
            $request->words('batch'),
        );

        return $this->orders->all();
    }

    public function close(int $order, CloseOrderRequest $request, CloseOrder $closeOrder): OrdersView
    {
        Gate::authorize(Ability::MoveStock);
        $closeOrder->close(Order::query()->findOrFail($order), $request->string('because')->trim()->toString());

        return $this->orders->all();
    }

    /** The order as a table to send. */
    public function csv(int $order): Response
    {
        Gate::authorize(Ability::SeeOwners);
        $found = Order::query()->with(['lines.part', 'supplier'])->findOrFail($order);
        $rows = [['your number', 'our number', 'name', 'packs', 'pieces in a pack', 'pack cost '.Setting::text('currency')]];
        foreach ($this->rows($found) as $row) {
            $rows[] = [...array_slice($row, 0, 5), number_format($row[5] / 100, 2, '.', '')];
        }

        return Csv::file("order-{$found->id}", $rows, marked: true);
    }

    /** The order as a letter to send. */
    public function pdf(int $order, Pdf $pdf): Response
    {
        Gate::authorize(Ability::SeeOwners);
        $found = Order::query()->with(['lines.part', 'supplier', 'person'])->findOrFail($order);

        return $pdf->of(
            "order-{$found->id}",
            'order',
            [
                'order' => $found,
                'rows' => $this->rows($found),
                'shop' => Setting::text('shop_name'),
                'currency' => Setting::text('currency'),
                'day' => $found->sent_at->setTimezone(Setting::text('zone'))->format('j F Y'),
            ],
        );
    }

    /** @return list<array{string, string, string, int, int, int}> their number, ours, name, packs, pieces in one, what one costs */
    private function rows(Order $order): array
    {
        $numbers = Supply::query()->where('supplier_id', $order->supplier_id)
            ->whereIn('part_id', $order->lines->pluck('part_id'))
            ->pluck('number', 'part_id');
        $rows = [];
        foreach ($order->lines as $line) {
            $number = $numbers[$line->part_id] ?? '';
            $rows[] = [
                is_string($number) ? $number : '',
                $line->part->number,
                $line->part->name,
                $line->packs,
                $line->pack,
                $line->pack_cost_minor,
            ];
        }

        return $rows;
    }
}
