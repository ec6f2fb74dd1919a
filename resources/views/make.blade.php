<!DOCTYPE html>
<html>
<head>
<meta charset="utf-8">
<style>
    @font-face { font-family: Hyperlegible; font-weight: normal; src: url("{{ $fonts }}/atkinson-hyperlegible-next-400.ttf") format("truetype"); }
    @font-face { font-family: Hyperlegible; font-weight: bold; src: url("{{ $fonts }}/atkinson-hyperlegible-next-700.ttf") format("truetype"); }
    @page { margin: 11mm 13mm; }
    body { font-family: Hyperlegible; font-size: {{ $points }}pt; line-height: 1.2; color: #000; margin: 0; }
    h1 { font-size: 16pt; line-height: 1.05; margin: 0 0 .5mm; }
    h2 { font-size: {{ $points + 1.5 }}pt; margin: 3mm 0 .5mm; }
    p { margin: 0 0 1mm; }
    .quiet { color: #444; font-size: {{ $points - 1.5 }}pt; }
    table { width: 100%; border-collapse: collapse; }
    th { text-align: left; font-weight: normal; font-size: {{ $points - 1.5 }}pt; color: #444; border-bottom: .6pt solid #000; padding: 0; }
    td { padding: .8mm 0; border-bottom: .3pt solid #999; vertical-align: top; }
    .n { text-align: right; padding-right: 3mm; white-space: nowrap; }
    .write { width: 22mm; border-left: .3pt solid #999; }
    .wide { width: 30mm; }
    .tick { width: 6mm; }
    .box { display: inline-block; width: 3mm; height: 3mm; border: .6pt solid #000; }
</style>
</head>
<body>
    <h1>{{ $batch->title }}</h1>
    <p class="quiet">Lot {{ $batch->lot_code }}, {{ $studio }}, printed {{ $printed }}. Made on: ______________ by: ______________________</p>
    @foreach ($stops as $stop)
        <p><b>Stop.</b> {{ $stop->message() }}@if ($batch->although !== '') Made all the same: {{ $batch->although }}@endif</p>
    @endforeach
    <h2>Weigh</h2>
    <table>
        <tr><th class="tick"></th><th>Ingredient</th><th>Goes in</th><th class="n">Target</th><th class="n">Within</th><th class="write">Weighed</th><th class="write">From bottle</th></tr>
        @foreach ($weighings as $w)
            <tr>
                <td class="tick"><span class="box"></span></td>
                <td>{{ $w->name }}</td>
                <td>{{ lcfirst($w->phase->label()) }}</td>
                @if ($w->drops !== null)
                    <td class="n"><b>{{ $w->drops }}</b> {{ $w->drops === 1 ? 'drop' : 'drops' }}</td><td class="n">{{ intdiv($w->drops, 10) === 0 ? '' : intdiv($w->drops, 10).' '.(intdiv($w->drops, 10) === 1 ? 'drop' : 'drops') }}</td>
                @else
                    <td class="n"><b>{{ number_format($w->targetGrams, $w->targetGrams < 10 ? 2 : 1) }}</b> g</td><td class="n">{{ number_format($w->toleranceGrams, 2) }} g</td>
                @endif
                <td class="write"></td><td class="write"></td>
            </tr>
        @endforeach
    </table>
    <h2>Do</h2>
    <table>
        <tr><th class="tick"></th><th>What, and when it is done</th><th class="n">°C</th><th class="n">Minutes</th><th class="write">Time, °C</th></tr>
        @foreach ($tasks as $task)
            <tr>
                <td class="tick"><span class="box"></span></td>
                <td>
                    <b>{{ $task->act }}</b>@if ($task->lines !== []) <span class="quiet">{{ implode(', ', array_map(fn ($l) => $names[$l] ?? '', $task->lines)) }}.</span>@endif
                    {{ $task->gate->sign }}
                    @if ($task->caution !== '')<i>{{ $task->caution }}</i>@endif
                    @if (($task->hers->doubt ?? '') !== '')<i>{{ $task->hers->doubt }}</i>@endif
                </td>
                <td class="n">@if ($task->gate->celsius !== null){{ round($task->gate->celsius->low) == round($task->gate->celsius->high) ? round($task->gate->celsius->best) : round($task->gate->celsius->low).'-'.round($task->gate->celsius->high) }}@endif</td>
                <td class="n">@if ($task->gate->minutes !== null){{ round($task->gate->minutes->best) }}@endif</td>
                <td class="write"></td>
            </tr>
        @endforeach
    </table>
    <h2>Close</h2>
    <table>
        <tr>
            <td>Jars: ________ of ________ ml</td><td>Net in one: __________ g</td><td>Left over: __________ g</td><td><span class="box"></span> sample kept</td>
        </tr>
        <tr>
            <td colspan="4"><span class="box"></span> no chip, no crack &nbsp; <span class="box"></span> rims wiped &nbsp; <span class="box"></span> lids hold &nbsp; <span class="box"></span> labelled with lot and date</td>
        </tr>
        <tr><td colspan="4">What went otherwise:<br><br></td></tr>
    </table>
    <p class="quiet" style="margin-top: 2mm">Hot oil, steam and glass burn: never leave oil on the heat, warm jars slowly. Patch test before the first use.</p>
</body>
</html>
