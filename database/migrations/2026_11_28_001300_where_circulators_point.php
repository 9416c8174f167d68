<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Where in its vessel a circulator stands, which way it blows, and whether fish are kept off it.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE pumps
                ADD COLUMN spot    varchar(8) CHECK (spot IN ('one_end', 'middle', 'far_end')),
                ADD COLUMN aim     varchar(8) CHECK (aim IN ('along', 'across')),
                ADD COLUMN guarded boolean;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('ALTER TABLE pumps DROP COLUMN spot, DROP COLUMN aim, DROP COLUMN guarded');
    }
};
