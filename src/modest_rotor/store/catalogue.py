"""The catalogue as it is kept."""

from __future__ import annotations

from collections.abc import Iterable
from datetime import UTC, datetime

from modest_rotor.core.catalogue import MOST_PRODUCTS, refusals
from modest_rotor.core.errors import ChangeRefused, UnknownItem
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.product import Product
from modest_rotor.store.database import in_one_transaction, transaction
from modest_rotor.store.models import ProductRow


def all_products() -> tuple[Product, ...]:
    """Every entry, by type and code."""
    found = (Product.model_validate(row.document) for row in ProductRow.select())
    return tuple(sorted(found, key=lambda product: (product.type, product.code)))


def product(code: str) -> Product:
    """One entry. :raises UnknownItem: there is none of that code."""
    row = ProductRow.get_or_none(ProductRow.code == code)
    if row is None:
        raise UnknownItem(say("store-catalogue-product", code_=code[:40]))
    return Product.model_validate(row.document)


def keep_products(products: Iterable[Product]) -> int:
    """Keep entries, all or none; those of the same code are replaced. :raises ChangeRefused: one of them is not sound."""
    wanted = tuple(products)
    for one in wanted:
        reasons = refusals(one)
        if reasons:
            raise ChangeRefused(
                say("store-catalogue-keep-products-nothing-written", one=one.name, reasons="; ".join(reasons))
            )
    with transaction():
        now = datetime.now(UTC)
        for one in wanted:
            document = one.model_dump(mode="json")
            ProductRow.insert(code=one.code, document=document, saved=now).on_conflict(
                conflict_target=[ProductRow.code], update={ProductRow.document: document, ProductRow.saved: now}
            ).execute()
        if ProductRow.select().count() > MOST_PRODUCTS:
            raise ChangeRefused(
                say("store-catalogue-keep-products-catalogue-most", most_products=Number(MOST_PRODUCTS, ","))
            )
    return len(wanted)


@in_one_transaction
def remove_product(code: str) -> None:
    """Take an entry out; jobs that consider it keep their own copy. :raises UnknownItem: there is none of that code."""
    if not ProductRow.delete().where(ProductRow.code == code).execute():
        raise UnknownItem(say("store-catalogue-remove-product", code_=code[:40]))


def is_empty() -> bool:
    """Whether nothing was ever put in."""
    return not ProductRow.select().exists()
