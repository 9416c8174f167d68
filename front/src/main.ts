document.title='Ironwort'
