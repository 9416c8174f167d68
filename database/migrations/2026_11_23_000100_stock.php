<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What is left of each thing on the shelf, how strong and how old it is; and which dose was taken from which. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE goods
                ALTER COLUMN kind TYPE varchar(40),
                ADD COLUMN unit varchar(6) NOT NULL DEFAULT 'mL' CHECK (unit IN ('g', 'mL', 'pieces')),
                ADD COLUMN amount double precision CHECK (amount BETWEEN 0 AND 1e9),
                ADD COLUMN strength_pct double precision CHECK (strength_pct > 0 AND strength_pct <= 100),
                ADD COLUMN opened_on date,
                ADD COLUMN lot varchar(40);
            UPDATE goods SET unit = 'g', label = label - 'unit' WHERE label ->> 'unit' = 'g';
            ALTER TABLE doses
                ADD COLUMN good_id char(26) REFERENCES goods (id) ON DELETE SET NULL,
                ADD COLUMN from_shelf double precision CHECK (from_shelf >= 0);
            CREATE INDEX doses_goods ON doses (good_id) WHERE good_id IS NOT NULL;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE doses DROP COLUMN good_id, DROP COLUMN from_shelf;
            ALTER TABLE goods DROP COLUMN unit, DROP COLUMN amount, DROP COLUMN strength_pct,
                DROP COLUMN opened_on, DROP COLUMN lot;
            SQL
            ,
        );
    }
};
