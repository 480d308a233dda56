"""What is kept: sites, machines, jobs and every change, in PostgreSQL through peewee."""
