<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/** The solved network: flow of every link in m³/s and head of every point in m. */
final readonly class NetworkFlow
{
    /**
     * @param  array<string, float>  $flows  by link; 0 where nothing can flow
     * @param  array<string, ?float>  $heads  by point; null where it is cut off from all open water
     */
    public function __construct(public array $flows, public array $heads) {}
}
