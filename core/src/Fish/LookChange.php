<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

/**
 * What became of the signs on the same fish since they were last looked at.
 *
 * A sign is worse with a higher severity (1 slight, 2 clear, 3 bad), or the same on more fish.
 */
final readonly class LookChange
{
    /**
     * @param  list<string>  $gone
     * @param  list<string>  $new
     * @param  list<string>  $worse
     * @param  list<string>  $better
     * @param  list<string>  $same
     */
    private function __construct(
        public array $gone,
        public array $new,
        public array $worse,
        public array $better,
        public array $same,
    ) {}

    /**
     * @param  list<array{sign: string, count: int, severity: int}>  $before
     * @param  list<array{sign: string, count: int, severity: int}>  $now
     */
    public static function between(array $before, array $now): self
    {
        $was = array_column($before, null, 'sign');
        $is = array_column($now, null, 'sign');
        $kept = ['worse' => [], 'better' => [], 'same' => []];
        foreach (array_intersect_key($is, $was) as $sign => $one) {
            $by = [$one['severity'], $one['count']] <=> [$was[$sign]['severity'], $was[$sign]['count']];
            $kept[[-1 => 'better', 0 => 'same', 1 => 'worse'][$by]][] = (string) $sign;
        }

        return new self(
            self::names(array_diff_key($was, $is)),
            self::names(array_diff_key($is, $was)),
            $kept['worse'],
            $kept['better'],
            $kept['same'],
        );
    }

    /**
     * @param  array<array-key, mixed>  $some
     * @return list<string>
     */
    private static function names(array $some): array
    {
        return array_map(strval(...), array_keys($some));
    }
}
