<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Fish;

use Ironwort\Core\Fish\LookDue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LookDueTest extends TestCase
{
    /** @return iterable<string, array{?string, list<?float>}> code; looked, protocol, incident, now, a month ago */
    public static function cases(): iterable
    {
        yield 'nothing asks' => [null, [null, null, null, 20.0, 20.0]];
        yield 'never looked at in quarantine' => ['fish.look_quarantine', [null, 3.0, null, null, null]];
        yield 'just under the protocol' => [null, [2.99, 3.0, null, null, null]];
        yield 'just at it' => ['fish.look_quarantine', [3.0, 3.0, null, null, null]];
        yield 'after ammonia' => ['fish.look_incident', [null, null, 1.0, null, null]];
        yield 'looked at since, three days ago' => ['fish.look_incident', [3.0, null, 5.0, null, null]];
        yield 'looked at since, of late' => [null, [2.9, null, 5.0, null, null]];
        yield 'on its last day' => ['fish.look_incident', [null, null, 21.0, null, null]];
        yield 'and after it' => [null, [null, null, 21.1, null, null]];
        yield 'spring' => ['fish.look_spring', [null, null, null, 10.0, 8.0]];
        yield 'spring, looked at within the week' => [null, [6.9, null, null, 10.0, 8.0]];
        yield 'still winter' => [null, [null, null, null, 7.9, 4.0]];
        yield 'summer already' => [null, [null, null, null, 17.1, 12.0]];
        yield 'autumn cools' => [null, [null, null, null, 12.0, 15.0]];
        yield 'hardly warmer' => [null, [null, null, null, 12.0, 10.1]];
        yield 'not known a month ago' => [null, [null, null, null, 12.0, null]];
    }

    /** @param  list<?float>  $facts */
    #[DataProvider('cases')]
    public function test_why(?string $code, array $facts): void
    {
        self::assertSame($code, LookDue::why(...$facts)?->code);
    }
}
