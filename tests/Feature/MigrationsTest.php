<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/**
 * A book that was begun with an earlier version, brought up to this one: `earlier/` holds one as PostgreSQL wrote it
 * out, the demo of that day with little of its probe.
 */
final class MigrationsTest extends TestCase
{
    private const BOOK = __DIR__ . '/earlier/2026-11-23.sql.gz';

    private const SCHEMA = 'earlier_book';

    /** Rows that stand in it and must stand there still. */
    private const KEPT = [
        'systems',
        'visits',
        'readings',
        'feeds',
        'doses',
        'courses',
        'changes',
        'fish_groups',
        'notes',
    ];

    private const PAGES = [
        '',
        '/capacity',
        '/water',
        '/dose',
        '/courses',
        '/plumbing',
        '/fish',
        '/trouble',
        '/service',
    ];

    protected function setUp(): void
    {
        parent::setUp();
        config([
            'database.connections.earlier' => [
                ...(array) config('database.connections.pgsql'),
                'search_path' => self::SCHEMA,
            ],
        ]);
        $earlier = DB::connection('earlier');
        $earlier->statement('DROP SCHEMA IF EXISTS ' . self::SCHEMA . ' CASCADE');
        $earlier->statement('CREATE SCHEMA ' . self::SCHEMA);
        $earlier->unprepared((string) gzdecode((string) file_get_contents(self::BOOK)));
    }

    protected function tearDown(): void
    {
        DB::connection('earlier')->statement('DROP SCHEMA IF EXISTS ' . self::SCHEMA . ' CASCADE');
        DB::disconnect('earlier');
        DB::setDefaultConnection('pgsql');
        parent::tearDown();
    }

    public function test_an_earlier_book_is_brought_up_with_all_that_is_in_it(): void
    {
        $earlier = DB::connection('earlier');
        $count = static fn(): array => array_combine(
            self::KEPT,
            array_map(static fn(string $table): int => $earlier->table($table)->count(), self::KEPT),
        );
        $reading = fn(): array => (array) $earlier
            ->table('readings')
            ->orderBy('id')
            ->first(['id', 'parameter', 'value', 'low', 'high']);
        [$rows, $first, $setbacks] = [$count(), $reading(), $earlier->table('setbacks')->count()];
        self::assertNotContains(0, $rows, 'an empty table proves nothing');
        self::assertGreaterThan(0, $setbacks);
        self::assertLessThan(
            count(glob(database_path('migrations/*.php')) ?: []),
            $earlier->table('migrations')->count(),
            'the book is an earlier one',
        );

        self::assertSame(
            0,
            Artisan::call('migrate', ['--database' => 'earlier', '--force' => true]),
            Artisan::output(),
        );

        self::assertSame($rows, $count());
        self::assertSame($first, $reading());
        self::assertSame($setbacks, $earlier->table('setbacks')->count());
        // What was built by steps is what is built at once.
        $came = self::shape(self::SCHEMA);
        foreach (self::shape('public') as $kind => $fresh) {
            self::assertSame($fresh, $came[$kind], $kind);
        }
    }

    public function test_its_pages_open_then_with_the_figures_that_are_in_it(): void
    {
        Artisan::call('migrate', ['--database' => 'earlier', '--force' => true]);
        DB::setDefaultConnection('earlier');
        $this->travelTo(DB::table('visits')->max('taken_at'));
        $this->actingAs(User::query()->where('role', 'owner')->firstOrFail());
        $slugs = $this->getJson('/api/systems')->assertOk()->json('*.slug');
        self::assertCount(6, $slugs);
        $this->getJson('/api/round')->assertOk();
        foreach ($slugs as $slug) {
            foreach (self::PAGES as $page) {
                $this->getJson("/api/systems/{$slug}{$page}")->assertOk();
            }
            $id = DB::table('systems')->where('slug', $slug)->value('id');
            self::assertSame(
                DB::table('visits')->where('system_id', $id)->whereNull('withdrawn_at')->max('id') !== null,
                $this->getJson("/api/systems/{$slug}/visits")
                    ->assertOk()
                    ->json('visits') !== [],
                $slug,
            );
        }
    }

    /**
     * Columns, keys and checks, and indexes, without the name of the schema that they stand in.
     *
     * @return array<string, list<string>> by kind
     */
    private static function shape(string $schema): array
    {
        $of = static fn(string $sql): array => array_map(
            // A list in a check is written with its casts inside or outside, as it was first made or read in again.
            static fn(object $row): string => str_replace(
                ["{$schema}.", '::character varying', '::text', '[]', '(', ')'],
                '',
                (string) $row->said,
            ),
            DB::select($sql, ['schema' => $schema]),
        );

        return [
            'columns' => $of(
                "SELECT table_name || '.' || column_name || ' ' || data_type || ' ' || is_nullable || ' ' ||
                    coalesce(column_default, '') AS said
                FROM information_schema.columns WHERE table_schema = :schema ORDER BY 1",
            ),
            'rules' => $of(
                "SELECT conrelid::regclass || ' ' || pg_get_constraintdef(oid) AS said
                FROM pg_constraint WHERE connamespace = :schema::regnamespace AND contype <> 'n' ORDER BY 1",
            ),
            'indexes' => $of('SELECT indexdef AS said FROM pg_indexes WHERE schemaname = :schema ORDER BY 1'),
        ];
    }
}
