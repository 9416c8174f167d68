<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * The protocol by which a keeper holds new fish in a system.
 *
 * Protects: one protocol a system, with days that can be.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE quarantines (
                id          char(26) PRIMARY KEY,
                site_id     char(26) NOT NULL,
                system_id   char(26) NOT NULL UNIQUE,
                days        double precision NOT NULL CHECK (days BETWEEN 0 AND 365),
                life_cycle  varchar(20) NOT NULL DEFAULT 'none',
                created_at  timestamptz NOT NULL DEFAULT now(),
                updated_at  timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('DROP TABLE quarantines');
    }
};
