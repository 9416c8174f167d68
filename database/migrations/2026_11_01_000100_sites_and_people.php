<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A site and the people who run it.
 *
 * Protects: one login per address whatever its case; every person has one of three roles.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE sites (
                id         char(26) PRIMARY KEY,
                name       varchar(80) NOT NULL CHECK (btrim(name) <> ''),
                timezone   varchar(64) NOT NULL DEFAULT 'UTC',
                altitude_m double precision NOT NULL DEFAULT 0 CHECK (altitude_m BETWEEN -430 AND 5000),
                is_demo    boolean NOT NULL DEFAULT false,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now()
            );

            CREATE TABLE users (
                id             char(26) PRIMARY KEY,
                site_id        char(26) NOT NULL REFERENCES sites (id),
                name           varchar(80) NOT NULL CHECK (btrim(name) <> ''),
                email          varchar(190) NOT NULL,
                password       varchar(255) NOT NULL,
                role           varchar(12) NOT NULL CHECK (role IN ('owner', 'helper', 'reader')),
                remember_token varchar(100),
                created_at     timestamptz NOT NULL DEFAULT now(),
                updated_at     timestamptz NOT NULL DEFAULT now()
            );
            CREATE UNIQUE INDEX users_email ON users (lower(email));
            CREATE INDEX users_site ON users (site_id);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('DROP TABLE users, sites');
    }
};
