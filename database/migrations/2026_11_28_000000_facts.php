<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What had been given or put in already when it was booked is told apart from what was planned and judged first. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE doses ADD COLUMN as_fact boolean NOT NULL DEFAULT false;
            ALTER TABLE charges ADD COLUMN as_fact boolean NOT NULL DEFAULT false;
            ALTER TABLE changes ADD COLUMN as_fact boolean NOT NULL DEFAULT false;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE doses DROP COLUMN as_fact;
            ALTER TABLE charges DROP COLUMN as_fact;
            ALTER TABLE changes DROP COLUMN as_fact;
            SQL
            ,
        );
    }
};
