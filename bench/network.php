<?php

declare(strict_types=1);

// How long a loop of about thirty parts takes to solve: php bench/network.php
// Prints the median and the slowest of 200 different loops, in milliseconds.

use Ironwort\Core\Flow\LineElement;
use Ironwort\Core\Flow\Link;
use Ironwort\Core\Flow\Network;
use Ironwort\Core\Flow\Pipe;
use Ironwort\Core\Flow\PumpCurve;
use Ironwort\Core\Flow\PumpElement;
use Ironwort\Core\Flow\ResistanceElement;

require dirname(__DIR__) . '/core/autoload.php';

mt_srand(1);
$any = static fn(float $from, float $to): float => $from + (($to - $from) * mt_rand()) / mt_getrandmax();
$curve = new PumpCurve([0, 1e-3, 2e-3, 4e-3], [6.0, 5.2, 3.8, 0.5]);
$times = [];
for ($n = 0; $n < 200; $n++) {
    $links = [new Link('pump', 'c0', 'm', new PumpElement($curve))];
    for ($i = 0; $i < 10; $i++) {
        $links[] = new Link(
            "drain {$i}",
            'pond',
            "c{$i}",
            new LineElement(new Pipe($any(0.04, 0.11), $any(1, 12), $any(0.5, 8))),
        );
        $links[] = new Link(
            "stage {$i}",
            "c{$i}",
            'c' . ($i + 1) % 10,
            new ResistanceElement($any(1e-3, 4e-3), $any(0, 0.2)),
        );
        $links[] = new Link(
            "return {$i}",
            'm',
            'pond',
            new LineElement(new Pipe($any(0.025, 0.06), $any(1, 12), $any(1, 20))),
        );
    }
    $begun = hrtime(true);
    (new Network(['pond' => 0.0], $links))->solve();
    $times[] = (hrtime(true) - $begun) / 1e6;
}
sort($times);
printf("31 parts: median %.2f ms, slowest %.2f ms of %d loops\n", $times[100], $times[199], count($times));
