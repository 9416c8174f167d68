<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Photo;
use App\Models\Site;
use App\Models\User;
use App\Transfer\BookTables;
use App\Transfer\KeepRule;
use App\Transfer\NewKeys;
use App\Transfer\ReadBook;
use App\Transfer\RemoveSite;
use App\Transfer\Sealed;
use App\Transfer\WriteBook;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;
use Tests\OneOfEach;
use Tests\TestCase;
use ZipArchive;

/** A book goes out whole and comes back whole, as itself or beside itself. */
final class BackupTest extends TestCase
{
    use OneOfEach;

    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir() . '/backup-' . bin2hex(random_bytes(6));
        mkdir($this->folder);
        $this->actingAs($this->owner);
        $rows = $this->rows();
        $note = $rows[\App\Models\Note::class];
        Photo::query()->create([
            'id' => $note->getKey(),
            'site_id' => $this->site->id,
            'type' => 'image/png',
            'picture' => base64_encode("\x89PNG of a fish"),
        ]);
        $wrong = $this->postJson('/api/systems/long-vat/log', [
            'id' => '01JD00000000000000000000A1',
            'line' => 'am .5 ph 9',
        ])->json('id');
        $this->postJson('/api/systems/long-vat/visits', [
            'id' => '01JD00000000000000000000A2',
            'readings' => $this->typed(['ph' => '7.9']),
            'corrects' => $wrong,
        ])->assertCreated();
        $this->putJson('/api/systems/long-vat/probe', [
            'parameter' => 'temp_c',
            'points' => [[now()->subHour()->toIso8601ZuluString(), 18.25]],
        ])->assertOk();
    }

    protected function tearDown(): void
    {
        foreach (glob("{$this->folder}/*") ?: [] as $file) {
            unlink($file);
        }
        rmdir($this->folder);
        parent::tearDown();
    }

    private function write(string $name, bool $secrets = true): string
    {
        $file = "{$this->folder}/{$name}.zip";
        app(WriteBook::class)->write(Site::query()->orderBy('id')->get()->toBase(), $file, $secrets);

        return $file;
    }

    /** @return array<string, string> the content of each part but the manifest, which tells the time */
    private static function parts(string $file): array
    {
        $zip = new ZipArchive();
        $zip->open($file);
        $parts = [];
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $parts[(string) $zip->getNameIndex($i)] = (string) $zip->getFromIndex($i);
        }
        unset($parts['manifest.json']);
        ksort($parts);

        return $parts;
    }

    private static function emptied(): void
    {
        DB::statement('TRUNCATE ' . implode(', ', BookTables::ALL) . ' CASCADE');
    }

    private static function refused(\Closure $do): string
    {
        try {
            $do();
        } catch (BadInput $bad) {
            return $bad->errors['file'] ?? '';
        }
        self::fail('It was taken.');
    }

    public function test_what_comes_back_is_the_same_book_to_the_last_sign(): void
    {
        $file = $this->write('first');
        self::assertStringContainsString('not empty', self::refused(fn() => app(ReadBook::class)->read($file, false)));
        self::emptied();
        $counts = app(ReadBook::class)->read($file, false);
        self::assertSame(self::parts($file), self::parts($this->write('second')));
        foreach (['sites', 'photos', 'probe_readings', 'seeds', 'what_ifs', 'pumps'] as $table) {
            self::assertGreaterThan(0, $counts[$table], $table);
        }
        self::assertSame("\x89PNG of a fish", base64_decode(Photo::query()->sole()->picture));
        $this->postJson('/api/session', ['email' => 'owner@yard.example', 'password' => 'a long password'])
            ->assertOk()
            ->assertJsonPath('person.name', 'Owner');
    }

    /** bin/start backs the book up before it upgrades it: with the code that knows the new tables already. */
    public function test_a_book_of_before_an_upgrade_is_written_and_comes_into_the_new_one(): void
    {
        $upgrades = array_map(static fn(string $name) => require database_path("migrations/{$name}.php"), [
            '2026_11_28_001100_junctions',
            '2026_11_28_001200_described_quickly',
        ]);
        foreach (array_reverse($upgrades) as $upgrade) {
            $upgrade->down();
        }
        $lines = DB::table('lines')->count();
        $file = $this->write('before');
        foreach ($upgrades as $upgrade) {
            $upgrade->up();
        }
        self::emptied();
        $counts = app(ReadBook::class)->read($file, false);
        self::assertArrayNotHasKey('junctions', $counts);
        self::assertSame($lines, $counts['lines']);
        self::assertSame($lines, DB::table('lines')->count());
    }

    public function test_every_table_of_a_site_is_in_it(): void
    {
        $rows = DB::select(
            "SELECT DISTINCT table_name FROM information_schema.columns WHERE table_schema = 'public' " .
                "AND column_name IN ('site_id', 'system_id')",
        );
        self::assertSame([], array_diff(array_column($rows, 'table_name'), BookTables::ALL));
    }

    public function test_an_export_holds_no_password(): void
    {
        self::assertStringContainsString('"password"', self::parts($this->write('backup'))['tables/users.jsonl']);
        $file = $this->write('export', secrets: false);
        self::assertStringNotContainsString('password', self::parts($file)['tables/users.jsonl']);
        self::emptied();
        app(ReadBook::class)->read($file, false);
        $this->postJson('/api/session', [
            'email' => 'owner@yard.example',
            'password' => 'a long password',
        ])->assertUnprocessable();
    }

    public function test_it_comes_in_beside_itself_twice_and_nothing_of_the_first_is_touched(): void
    {
        $this->owner->update(['calendar_key' => str_repeat('a', 64)]);
        $file = $this->write('first');
        $before = self::parts($this->write('before'));
        $counts = app(ReadBook::class)->read($file, true);
        app(ReadBook::class)->read($file, true);
        self::assertSame(3, Site::query()->count());
        self::assertSame(3 * $counts['readings'], DB::table('readings')->count());
        $own = "{$this->folder}/own.zip";
        app(WriteBook::class)->write(Site::query()->whereKey($this->site->id)->get()->toBase(), $own, true);
        self::assertSame($before, self::parts($own));
        self::assertTrue(User::query()->where('email', 'restored2+owner@yard.example')->exists());
        self::assertSame(
            [$this->owner->id],
            User::query()->where('calendar_key', str_repeat('a', 64))->pluck('id')->all(),
        );
        // The copies hang together by keys of their own.
        $copy = Site::query()->whereKeyNot($this->site->id)->firstOrFail();
        $this->actingAs(User::query()->where('site_id', $copy->id)->firstOrFail());
        $this->getJson('/api/systems/long-vat')->assertOk()->assertJsonPath('water.strips.0.text', '7.9');
        (new RemoveSite())->remove($copy);
        self::assertSame(2, Site::query()->count());
        app(WriteBook::class)->write(Site::query()->whereKey($this->site->id)->get()->toBase(), $own, true);
        self::assertSame($before, self::parts($own));
    }

    public function test_what_is_damaged_foreign_or_newer_is_refused_whole(): void
    {
        $file = $this->write('first');
        self::emptied();
        $read = fn(): string => self::refused(fn() => app(ReadBook::class)->read($file, false));
        $change = static function (string $part, string $content) use ($file): void {
            $zip = new ZipArchive();
            $zip->open($file);
            $zip->addFromString($part, $content);
            $zip->close();
        };
        $good = (string) file_get_contents($file);
        $manifest = (string) self::manifest($file);
        $change('tables/doses.jsonl', self::parts($file)['tables/doses.jsonl'] . ' ');
        self::assertStringContainsString('damaged', $read());
        file_put_contents($file, $good);
        $change('manifest.json', str_replace('"migration": "2026', '"migration": "2999', $manifest));
        self::assertStringContainsString('newer', $read());
        file_put_contents($file, $good);
        $change('manifest.json', '{"format":"other"}');
        $read();
        file_put_contents($file, substr($good, 0, 2000));
        $read();
        self::assertSame(0, Site::query()->count());
    }

    private static function manifest(string $file): string
    {
        $zip = new ZipArchive();
        $zip->open($file);

        return (string) $zip->getFromName('manifest.json');
    }

    public function test_it_is_sealed_under_a_passphrase_block_by_block(): void
    {
        [$open, $sealed, $again] = array_map(fn(string $name): string => "{$this->folder}/{$name}", ['a', 'b', 'c']);
        // Exactly two blocks, and a little more: the edges of the stream.
        foreach ([0, 65536, 131072, 131073] as $length) {
            file_put_contents($open, $length === 0 ? '' : random_bytes($length));
            Sealed::seal($open, $sealed, 'wet fish');
            Sealed::open($sealed, $again, 'wet fish');
            self::assertFileEquals($open, $again);
        }
        self::assertTrue(Sealed::is($sealed));
        self::assertFalse(Sealed::is($open));
        self::refused(fn() => Sealed::open($sealed, $again, 'dry fish'));
        $bytes = (string) file_get_contents($sealed);
        file_put_contents($sealed, substr($bytes, 0, -1));
        self::refused(fn() => Sealed::open($sealed, $again, 'wet fish'));
        // A whole block less is found as well.
        file_put_contents($sealed, substr($bytes, 0, strlen($bytes) - 18));
        self::refused(fn() => Sealed::open($sealed, $again, 'wet fish'));
        $bytes[100] = chr(ord($bytes[100]) ^ 1);
        file_put_contents($sealed, $bytes);
        self::refused(fn() => Sealed::open($sealed, $again, 'wet fish'));
    }

    public function test_new_keys_are_one_to_one_and_touch_nothing_else(): void
    {
        $keys = new NewKeys([31, ...array_fill(0, 15, 1)]);
        $line = '{"id":"01JD00000000000000000000A1","words":"01JD not a key","n":1}';
        self::assertSame('{"id":"01JD000000Z1111111111111B0","words":"01JD not a key","n":1}', $keys->line($line));
        self::assertSame($line, $keys->line($keys->line($line)));
        // A key that is told what it is of is a key all the same.
        self::assertSame(
            '{"job":"own:01JD000000Z1111111111111B0","at":"2026-05:01"}',
            $keys->line('{"job":"own:01JD00000000000000000000A1","at":"2026-05:01"}'),
        );
    }

    public function test_the_rule_keeps_days_weeks_months_and_the_last_upgrades(): void
    {
        $now = Carbon::parse('2026-11-28T12:00:00Z');
        $made = $upgrades = [];
        for ($hours = 0; $hours < 500 * 24; $hours += 12) {
            $made["b{$hours}"] = $now->copy()->subHours($hours);
        }
        foreach ([400, 410, 420, 430] as $days) {
            $made["u{$days}"] = $now->copy()->subDays($days);
            $upgrades[] = "u{$days}";
        }
        $kept = array_diff(array_keys($made), KeepRule::spare($made, $upgrades, $now));
        // Four of two days, five more days, four more weeks, ten or eleven more months, three upgrades.
        self::assertGreaterThanOrEqual(25, count($kept));
        self::assertLessThanOrEqual(32, count($kept));
        self::assertContains('b0', $kept);
        self::assertContains('b36', $kept);
        self::assertSame(['u400', 'u410', 'u420'], array_values(array_intersect($upgrades, $kept)));
        $months = array_unique(array_map(static fn(string $file): string => $made[$file]->format('Y-m'), $kept));
        self::assertGreaterThanOrEqual(12, count($months), 'a year back there is one for every month');
    }

    public function test_the_commands_of_a_shell(): void
    {
        config(['ironwort.backups' => $this->folder, 'ironwort.passphrase' => null]);
        $made = fn(): array => glob("{$this->folder}/ironwort-*.zip") ?: [];
        self::assertSame(0, $this->artisan('ironwort:backup', ['--due' => true]));
        self::assertCount(1, $made());
        self::assertSame(0, $this->artisan('ironwort:backup', ['--due' => true]));
        self::assertCount(1, $made(), 'it was not due');
        $file = $made()[0];
        self::assertSame('0600', substr(sprintf('%o', (int) fileperms($file)), -4));
        self::assertSame(2, $this->artisan('ironwort:restore', ['file' => $file]));
        self::assertSame(0, $this->artisan('ironwort:restore', ['file' => $file, '--beside' => true]));
        $out = ['file' => "{$this->folder}/x.zip"];
        self::assertSame(0, $this->artisan('ironwort:export', [...$out, '--site' => 'Test yard']));
        self::assertSame(2, $this->artisan('ironwort:export', $out), 'there are two sites by now');
    }
}
