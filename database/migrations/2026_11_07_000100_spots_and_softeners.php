<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Where the disc was let down, since clarity compares at one spot only; and whether a water comes through a softener.
 *
 * Protects: a spot has a name or is not said.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE visits ADD COLUMN spot varchar(40) CHECK (btrim(spot) <> '');
            ALTER TABLE waters ADD COLUMN softened boolean NOT NULL DEFAULT false;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('ALTER TABLE visits DROP COLUMN spot; ALTER TABLE waters DROP COLUMN softened;');
    }
};
